import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { ClubEntity } from './club.entity.js';
import { ClubService } from './club.service.js';
import { LookController } from './look.controller.js';
import { LookService } from './look.service.js';

@Module({
  imports: [TypeOrmModule.forFeature([ClubEntity])],
  controllers: [LookController],
  providers: [ClubService, LookService],
  exports: [ClubService, LookService],
})
export class ClubModule {}
