import { SendLetterRequest, type LetterResponse, type LettersResponse, type LettersToWriteResponse } from '@leiter/contract';
import { Body, Controller, Get, HttpCode, Param, ParseUUIDPipe, Post, Put } from '@nestjs/common';
import type { Asker } from '../people/asker.js';
import { AskedBy, ForRoles } from '../people/session.guard.js';
import { LetterFactsService } from './letter-facts.service.js';
import { LettersService } from './letters.service.js';

@Controller()
export class LettersController {
  constructor(
    private readonly letters: LettersService,
    private readonly facts: LetterFactsService,
  ) {}

  /** The mailbox: what was written, sent or caught. */
  @ForRoles('owner', 'instructor')
  @Get('letters')
  list(@AskedBy() asker: Asker): Promise<LettersResponse> {
    return this.letters.list(asker);
  }

  @ForRoles('owner', 'instructor')
  @Put('letters/:id')
  send(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string, @Body() body: SendLetterRequest): Promise<LetterResponse> {
    return this.letters.send(asker, id, body);
  }

  @ForRoles('owner', 'instructor')
  @Post('letters/:id/again')
  @HttpCode(204)
  async again(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<void> {
    await this.letters.again(asker, id);
  }

  @ForRoles('owner', 'instructor')
  @Get('classes/:id/letters')
  async ofClass(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<LettersToWriteResponse> {
    return { ...(await this.facts.ofClass(asker, id)), letters: await this.letters.about(asker.clubId, id) };
  }

  @ForRoles('owner', 'instructor')
  @Get('gradings/:id/letters')
  async ofGrading(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<LettersToWriteResponse> {
    return { ...(await this.facts.ofGrading(asker, id)), letters: await this.letters.about(asker.clubId, id) };
  }
}
