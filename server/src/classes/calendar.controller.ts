import {
  AddClassRequest,
  HolidayRequest,
  type ClassOutlook,
  type ClassResponse,
  type ComingClass,
  type HolidayResponse,
  type WeekResponse,
} from '@leiter/contract';
import { isDay } from '@leiter/core';
import { Body, Controller, Delete, Get, HttpCode, Param, ParseUUIDPipe, Post } from '@nestjs/common';
import { fieldRefused } from '../http/problem.js';
import type { Asker } from '../people/asker.js';
import { AskedBy, ForEverybody, ForRoles } from '../people/session.guard.js';
import { CalendarService } from './calendar.service.js';
import { HolidaysService } from './holidays.service.js';
import { OutlookService } from './outlook.service.js';

@Controller()
export class CalendarController {
  constructor(
    private readonly calendar: CalendarService,
    private readonly holidays: HolidaysService,
    private readonly outlooks: OutlookService,
  ) {}

  /** The week in which a day lies and the one after it, fourteen days from Monday. */
  @ForEverybody()
  @Get('weeks/:day')
  week(@AskedBy() asker: Asker, @Param('day') day: string): Promise<WeekResponse> {
    return this.calendar.week(asker.clubId, whole(day));
  }

  /** What the plans of the classes of these two weeks that are still to be taught come to. */
  @ForEverybody()
  @Get('weeks/:day/outlook')
  outlook(@AskedBy() asker: Asker, @Param('day') day: string): Promise<readonly ClassOutlook[]> {
    return this.outlooks.ofWeek(asker, whole(day));
  }

  @ForEverybody()
  @Get('coming-classes')
  coming(@AskedBy() asker: Asker): Promise<readonly ComingClass[]> {
    return this.calendar.coming(asker.clubId);
  }

  @ForEverybody()
  @Get('groups/:id/classes')
  list(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<readonly ClassResponse[]> {
    return this.calendar.list(asker.clubId, id);
  }

  @ForRoles('owner', 'instructor')
  @Post('classes')
  add(@AskedBy() asker: Asker, @Body() body: AddClassRequest): Promise<ClassResponse> {
    return this.calendar.add(asker.clubId, body);
  }

  @ForRoles('owner', 'instructor')
  @Delete('classes/:id')
  @HttpCode(204)
  remove(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<void> {
    return this.calendar.remove(asker.clubId, id);
  }

  @ForEverybody()
  @Get('holidays')
  allHolidays(@AskedBy() asker: Asker): Promise<readonly HolidayResponse[]> {
    return this.holidays.list(asker.clubId);
  }

  @ForRoles('owner', 'instructor')
  @Post('holidays')
  addHoliday(@AskedBy() asker: Asker, @Body() body: HolidayRequest): Promise<HolidayResponse> {
    return this.holidays.add(asker.clubId, body);
  }

  @ForRoles('owner', 'instructor')
  @Delete('holidays/:id')
  @HttpCode(204)
  removeHoliday(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<void> {
    return this.holidays.remove(asker.clubId, id);
  }
}

/** @throws 400 where it is no day */
function whole(day: string): string {
  if (!isDay(day)) throw fieldRefused('day', 'A day is written 2019-04-30 and has to exist.');
  return day;
}
