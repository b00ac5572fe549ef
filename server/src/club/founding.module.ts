import { Module } from '@nestjs/common';
import { PeopleModule } from '../people/people.module.js';
import { ClubController } from './club.controller.js';
import { ClubModule } from './club.module.js';
import { FoundingService } from './founding.service.js';

@Module({ imports: [ClubModule, PeopleModule], controllers: [ClubController], providers: [FoundingService], exports: [FoundingService] })
export class FoundingModule {}
