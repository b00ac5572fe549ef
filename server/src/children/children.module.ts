import { Module } from '@nestjs/common';
import { ClubModule } from '../club/club.module.js';
import { RecordModule } from '../record/record.module.js';
import { SyllabusModule } from '../syllabus/syllabus.module.js';
import { ChildrenController } from './children.controller.js';
import { ChildrenService } from './children.service.js';

@Module({ imports: [ClubModule, RecordModule, SyllabusModule], controllers: [ChildrenController], providers: [ChildrenService] })
export class ChildrenModule {}
