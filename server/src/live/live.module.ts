import { Global, Module } from '@nestjs/common';
import { PeopleModule } from '../people/people.module.js';
import { LiveController } from './live.controller.js';
import { LiveService } from './live.service.js';

/** Every feature tells what happens in it. */
@Global()
@Module({ imports: [PeopleModule], controllers: [LiveController], providers: [LiveService], exports: [LiveService] })
export class LiveModule {}
