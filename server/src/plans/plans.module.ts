import { Module } from '@nestjs/common';
import { LibraryModule } from '../library/library.module.js';
import { PlansController } from './plans.controller.js';
import { TemplatesService } from './templates.service.js';
import { PlansService } from './plans.service.js';

@Module({ imports: [LibraryModule], controllers: [PlansController], providers: [PlansService, TemplatesService], exports: [PlansService] })
export class PlansModule {}
