import { CheckNumberRequest, TurnCheckRequest, type ClubChecksResponse } from '@leiter/contract';
import { Body, Controller, Delete, Get, HttpCode, Param, Put } from '@nestjs/common';
import type { Asker } from '../people/asker.js';
import { AskedBy, ForEverybody, ForRoles } from '../people/session.guard.js';
import { ChecksService } from './checks.service.js';

/** What the club holds otherwise than usual of the checks on a plan: all who plan read it, the owner changes it. */
@Controller('club')
export class ChecksController {
  constructor(private readonly checks: ChecksService) {}

  @ForEverybody()
  @Get('checks')
  about(@AskedBy() { clubId }: Asker): Promise<ClubChecksResponse> {
    return this.checks.about(clubId);
  }

  @ForRoles('owner')
  @Put('checks/:check')
  @HttpCode(204)
  async turn(@AskedBy() asker: Asker, @Param('check') check: string, @Body() body: TurnCheckRequest): Promise<void> {
    await this.checks.turn(asker, check, body);
  }

  @ForRoles('owner')
  @Put('check-numbers/:number')
  @HttpCode(204)
  async set(@AskedBy() asker: Asker, @Param('number') number: string, @Body() body: CheckNumberRequest): Promise<void> {
    await this.checks.set(asker, number, body);
  }

  /** Back to what is usual. */
  @ForRoles('owner')
  @Delete('check-numbers/:number')
  @HttpCode(204)
  async setUsual(@AskedBy() asker: Asker, @Param('number') number: string): Promise<void> {
    await this.checks.set(asker, number, null);
  }
}
