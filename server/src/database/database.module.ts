import { Global, Module } from '@nestjs/common';
import { NoticesService } from './notices.service.js';

/** What every feature needs of the database. */
@Global()
@Module({ providers: [NoticesService], exports: [NoticesService] })
export class DatabaseModule {}
