import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { ClubEntity } from './club.entity.js';
import { ClubService } from './club.service.js';

@Module({ imports: [TypeOrmModule.forFeature([ClubEntity])], providers: [ClubService], exports: [ClubService] })
export class ClubModule {}
