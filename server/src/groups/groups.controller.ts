import { AddGroupRequest, ChangeGroupRequest, type GroupResponse } from '@leiter/contract';
import type { Result } from '@leiter/core';
import { Body, Controller, Get, Param, ParseUUIDPipe, Patch, Post } from '@nestjs/common';
import { ProblemException } from '../http/problem.js';
import { AskedBy, ForRoles, type Asker } from '../people/session.guard.js';
import { GroupsService, type GroupRefusal } from './groups.service.js';

@Controller('groups')
export class GroupsController {
  constructor(private readonly groups: GroupsService) {}

  @Get()
  list(@AskedBy() asker: Asker): Promise<readonly GroupResponse[]> {
    return this.groups.list(asker.clubId);
  }

  @ForRoles('owner', 'instructor')
  @Post()
  async add(@AskedBy() asker: Asker, @Body() body: AddGroupRequest): Promise<GroupResponse> {
    return answer(await this.groups.add(asker.clubId, body));
  }

  @ForRoles('owner', 'instructor')
  @Patch(':id')
  async change(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string, @Body() body: ChangeGroupRequest): Promise<GroupResponse> {
    return answer(await this.groups.change(asker.clubId, id, body));
  }
}

function answer(result: Result<GroupResponse, GroupRefusal>): GroupResponse {
  if (result.ok) return result.value;
  switch (result.error.kind) {
    case 'name-taken':
      throw fieldRefused('name', 'Another group has this name.');
    case 'programme-unknown':
      throw fieldRefused('programme', 'Choose a programme.');
    case 'person-unknown':
      throw fieldRefused('instructorId', 'Choose somebody of this club.');
  }
}

function fieldRefused(field: string, message: string): ProblemException {
  return new ProblemException(422, message, { errors: [{ field, message }] });
}
