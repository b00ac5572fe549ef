import { Module } from '@nestjs/common';
import { ClubModule } from '../club/club.module.js';
import { SyllabusModule } from '../syllabus/syllabus.module.js';
import { DemoClubService } from './demo-club.service.js';

@Module({ imports: [ClubModule, SyllabusModule], providers: [DemoClubService], exports: [DemoClubService] })
export class DemoModule {}
