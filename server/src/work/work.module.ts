import { Global, Module } from '@nestjs/common';
import { WorkersService } from './workers.service.js';

@Global()
@Module({ providers: [WorkersService], exports: [WorkersService] })
export class WorkModule {}
