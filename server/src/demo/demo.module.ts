import { Module } from '@nestjs/common';
import { SyllabusModule } from '../syllabus/syllabus.module.js';
import { DemoClubService } from './demo-club.service.js';

@Module({ imports: [SyllabusModule], providers: [DemoClubService], exports: [DemoClubService] })
export class DemoModule {}
