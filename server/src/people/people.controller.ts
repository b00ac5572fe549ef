import { AddPersonRequest, type PersonResponse } from '@leiter/contract';
import { Body, Controller, Get, Post } from '@nestjs/common';
import { ProblemException } from '../http/problem.js';
import { PeopleService } from './people.service.js';
import { AskedBy, ForRoles, type Asker } from './session.guard.js';

const refusals = { 'email-taken': 'Somebody signs in with this address already.' } as const;

@Controller('people')
export class PeopleController {
  constructor(private readonly people: PeopleService) {}

  @Get()
  list(@AskedBy() asker: Asker): Promise<readonly PersonResponse[]> {
    return this.people.list(asker.clubId);
  }

  @ForRoles('owner')
  @Post()
  async add(@AskedBy() asker: Asker, @Body() body: AddPersonRequest): Promise<PersonResponse> {
    const added = await this.people.add(asker.clubId, body);
    if (added.ok) return added.value;
    const message = refusals[added.error.kind];
    throw new ProblemException(422, message, { errors: [{ field: 'email', message }] });
  }
}
