import { ChangePersonRequest, InviteRequest, type InvitationResponse, type MadeInvitation, type PersonResponse } from '@leiter/contract';
import { Body, Controller, Delete, Get, HttpCode, Param, ParseUUIDPipe, Patch, Post } from '@nestjs/common';
import { fieldRefused, ProblemException } from '../http/problem.js';
import type { Asker } from './asker.js';
import { InvitationsService } from './invitations.service.js';
import { PeopleService } from './people.service.js';
import { AskedBy, ForEverybody, ForRoles } from './session.guard.js';

@Controller('people')
export class PeopleController {
  constructor(
    private readonly people: PeopleService,
    private readonly invitations: InvitationsService,
  ) {}

  @ForEverybody()
  @Get()
  list(@AskedBy() asker: Asker): Promise<readonly PersonResponse[]> {
    return this.people.list(asker.clubId);
  }

  /** Another role; put away or brought back. */
  @ForRoles('owner')
  @Patch(':id')
  async change(
    @AskedBy() asker: Asker,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: ChangePersonRequest,
  ): Promise<PersonResponse> {
    const changed = await this.people.change(asker, id, body);
    if (changed.ok) return changed.value;
    throw new ProblemException(422, 'A club has an owner: make somebody else owner first.');
  }

  @ForRoles('owner')
  @Get('invitations')
  open(@AskedBy() asker: Asker): Promise<readonly InvitationResponse[]> {
    return this.invitations.open(asker.clubId);
  }

  /** A link by which somebody joins the club; it is told once. */
  @ForRoles('owner')
  @Post('invitations')
  async invite(@AskedBy() asker: Asker, @Body() body: InviteRequest): Promise<MadeInvitation> {
    const invited = await this.invitations.invite(asker, body);
    if (invited.ok) return invited.value;
    throw fieldRefused('email', 'Somebody signs in with this address already.');
  }

  @ForRoles('owner')
  @Delete('invitations/:id')
  @HttpCode(204)
  withdraw(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<void> {
    return this.invitations.withdraw(asker.clubId, id);
  }

  /** A link by which a person sets a new password; it is told once. */
  @ForRoles('owner')
  @Post(':id/reset')
  reset(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<MadeInvitation> {
    return this.invitations.reset(asker, id);
  }
}
