import { Module } from '@nestjs/common';
import { ClipsService } from './clips.service.js';
import { VoiceController } from './voice.controller.js';

@Module({ controllers: [VoiceController], providers: [ClipsService] })
export class VoiceModule {}
