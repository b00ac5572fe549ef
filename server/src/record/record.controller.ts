import { AddObservationRequest, type GroupBestsResponse, type GroupBoardResponse, type ObservationResponse } from '@leiter/contract';
import { Body, Controller, Get, Param, ParseUUIDPipe, Put } from '@nestjs/common';
import { ProblemException } from '../http/problem.js';
import type { Asker } from '../people/asker.js';
import { AskedBy, ForEverybody } from '../people/session.guard.js';
import { BestsService } from './bests.service.js';
import { LadderService } from './ladder.service.js';
import { RecordService } from './record.service.js';

@Controller()
export class RecordController {
  constructor(
    private readonly record: RecordService,
    private readonly ladders: LadderService,
    private readonly bests: BestsService,
  ) {}

  /** Where everybody stands: the boards of all groups that are not put away. */
  @ForEverybody()
  @Get('boards')
  boards(@AskedBy() asker: Asker): Promise<readonly GroupBoardResponse[]> {
    return this.ladders.boards(asker.clubId);
  }

  @ForEverybody()
  @Put('observations/:id')
  async add(
    @AskedBy() asker: Asker,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AddObservationRequest,
  ): Promise<ObservationResponse> {
    const added = await this.record.add(asker, id, body);
    if (added.ok) return added.value;
    const { error } = added;
    switch (error.kind) {
      case 'id-used':
        throw new ProblemException(409, 'Another mark has this id.');
      case 'superseded-already':
        throw new ProblemException(409, 'This mark was corrected meanwhile. Look at it again.');
      case 'superseded-unknown':
        throw new ProblemException(422, 'The mark to correct is not there.', {
          errors: [{ field: 'supersedes', message: 'There is no such mark.' }],
        });
      case 'stage-unknown':
        throw new ProblemException(422, undefined, {
          errors: [{ field: 'stage', message: `This movement has ${String(error.stages)} stages.` }],
        });
      case 'fault-unknown':
        throw new ProblemException(422, undefined, {
          errors: [{ field: 'faults', message: `This movement has no fault “${error.fault}”.` }],
        });
      case 'before-birth':
        throw new ProblemException(422, undefined, { errors: [{ field: 'seenOn', message: 'The child was not born on this day.' }] });
      case 'not-in-class':
        throw new ProblemException(422, undefined, {
          errors: [{ field: 'classId', message: 'This child is not in the group of this class.' }],
        });
      case 'no-sides':
        throw new ProblemException(422, undefined, { errors: [{ field: 'side', message: 'This movement has no sides.' }] });
      case 'in-the-future':
        throw new ProblemException(422, undefined, { errors: [{ field: 'seenOn', message: 'This day has not come yet.' }] });
    }
  }

  @ForEverybody()
  @Get('groups/:id/board')
  board(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<GroupBoardResponse> {
    return this.ladders.board(asker.clubId, id);
  }

  /** Everything that was measured of the children of a group. */
  @ForEverybody()
  @Get('groups/:id/bests')
  groupBests(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<GroupBestsResponse> {
    return this.bests.ofGroup(asker.clubId, id);
  }
}
