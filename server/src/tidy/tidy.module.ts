import { Module } from '@nestjs/common';
import { ChildrenModule } from '../children/children.module.js';
import { TidyService } from './tidy.service.js';

@Module({ imports: [ChildrenModule], providers: [TidyService] })
export class TidyModule {}
