import { Module } from '@nestjs/common';
import { ClipFilesService } from './clip-files.service.js';
import { ClipsService } from './clips.service.js';

/** Clips that families send: files outside of the database. Its routes stand beside those of families (home). */
@Module({ providers: [ClipFilesService, ClipsService], exports: [ClipsService] })
export class ClipsModule {}
