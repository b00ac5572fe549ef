import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { ClubEntity } from './club.entity.js';
import { ChecksController } from './checks.controller.js';
import { ChecksService } from './checks.service.js';
import { ClubService } from './club.service.js';
import { LookController } from './look.controller.js';
import { LookService } from './look.service.js';

@Module({
  imports: [TypeOrmModule.forFeature([ClubEntity])],
  controllers: [ChecksController, LookController],
  providers: [ChecksService, ClubService, LookService],
  exports: [ChecksService, ClubService, LookService],
})
export class ClubModule {}
