import { Module } from '@nestjs/common';
import { ChildrenModule } from '../children/children.module.js';
import { ClipsModule } from '../clips/clips.module.js';
import { TidyService } from './tidy.service.js';

@Module({ imports: [ChildrenModule, ClipsModule], providers: [TidyService] })
export class TidyModule {}
