import { AddGroupRequest, ChangeGroupRequest, type GroupResponse } from '@leiter/contract';
import type { Result } from '@leiter/core';
import { Body, Controller, Get, Param, ParseUUIDPipe, Patch, Post } from '@nestjs/common';
import { fieldRefused, ProblemException } from '../http/problem.js';
import type { Asker } from '../people/asker.js';
import { AskedBy, ForEverybody, ForRoles } from '../people/session.guard.js';
import { GroupsService, type GroupRefusal } from './groups.service.js';

@Controller('groups')
export class GroupsController {
  constructor(private readonly groups: GroupsService) {}

  @ForEverybody()
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
    return answer(await this.groups.change(asker, id, body));
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
    case 'not-yours':
      throw new ProblemException(403, 'Who teaches this group now, or the owner, hands it to somebody else.', {
        errors: [{ field: 'instructorId', message: 'Ask who teaches it now, or the owner.' }],
      });
  }
}
