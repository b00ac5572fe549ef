import { Global, Module } from '@nestjs/common';
import { ClubModule } from '../club/club.module.js';
import { StaffService } from './staff.service.js';

/** Who may know what of which child is asked by several features. */
@Global()
@Module({ imports: [ClubModule], providers: [StaffService], exports: [StaffService] })
export class StaffModule {}
