import type { TodayResponse } from '@leiter/contract';
import { Controller, Get } from '@nestjs/common';
import type { Asker } from '../people/asker.js';
import { AskedBy, ForEverybody } from '../people/session.guard.js';
import { TodayService } from './today.service.js';

@Controller('today')
export class TodayController {
  constructor(private readonly service: TodayService) {}

  @ForEverybody()
  @Get()
  today(@AskedBy() asker: Asker): Promise<TodayResponse> {
    return this.service.today(asker);
  }
}
