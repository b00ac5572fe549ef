import { ClubLookRequest, type ClubLookResponse } from '@leiter/contract';
import { Body, Controller, Delete, Get, HttpCode, Put, Req } from '@nestjs/common';
import type { Request } from 'express';
import { fileIn } from '../http/body.js';
import { TakesFile } from '../http/takes-file.js';
import type { Asker } from '../people/asker.js';
import { AskedBy, ForEverybody, ForRoles } from '../people/session.guard.js';
import { LookService } from './look.service.js';

/** Crest and colours of the club. */
@Controller('club')
export class LookController {
  constructor(private readonly looks: LookService) {}

  @ForEverybody()
  @Get('look')
  look(@AskedBy() { clubId }: Asker): Promise<ClubLookResponse> {
    return this.looks.about(clubId);
  }

  @ForRoles('owner')
  @Put('look')
  @HttpCode(204)
  async change(@AskedBy() { clubId }: Asker, @Body() body: ClubLookRequest): Promise<void> {
    await this.looks.change(clubId, body);
  }

  /** The body is the file itself. */
  @ForRoles('owner')
  @TakesFile()
  @Put('crest')
  @HttpCode(204)
  async giveCrest(@AskedBy() { clubId }: Asker, @Req() request: Request): Promise<void> {
    await this.looks.giveCrest(clubId, fileIn(request));
  }

  @ForRoles('owner')
  @Delete('crest')
  @HttpCode(204)
  async takeCrestAway(@AskedBy() { clubId }: Asker): Promise<void> {
    await this.looks.takeCrestAway(clubId);
  }
}
