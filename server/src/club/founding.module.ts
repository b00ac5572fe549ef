import { Module } from '@nestjs/common';
import { ClubController } from './club.controller.js';
import { FoundingService } from './founding.service.js';

@Module({ controllers: [ClubController], providers: [FoundingService], exports: [FoundingService] })
export class FoundingModule {}
