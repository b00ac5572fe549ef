import {
  AttendanceRequest,
  CallNamesRequest,
  ChangeClassRequest,
  ItemTimesRequest,
  RollRequest,
  type ClassPageResponse,
  type ClassResponse,
  type TaughtClass,
} from '@leiter/contract';
import { Body, Controller, Delete, Get, HttpCode, Param, ParseUUIDPipe, Patch, Put } from '@nestjs/common';
import type { Asker } from '../people/asker.js';
import { AskedBy, ForEverybody, ForRoles } from '../people/session.guard.js';
import { CallNamesService } from './call-names.service.js';
import { ClassesService } from './classes.service.js';
import { TaughtClassesService } from './taught-classes.service.js';

@Controller()
export class ClassesController {
  constructor(
    private readonly classes: ClassesService,
    private readonly taught: TaughtClassesService,
    private readonly names: CallNamesService,
  ) {}

  @ForEverybody()
  @Get('classes/:id')
  page(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<ClassPageResponse> {
    return this.classes.page(asker, id);
  }

  /** The last classes of its group that were taught before it, the newest first: what was planned and what it took. */
  @ForEverybody()
  @Get('classes/:id/earlier')
  earlier(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<readonly TaughtClass[]> {
    return this.taught.before(asker.clubId, id);
  }

  /** What the items of this class really took. */
  @ForEverybody()
  @Get('classes/:id/taught')
  times(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<TaughtClass> {
    return this.taught.of(asker.clubId, id);
  }

  @ForRoles('owner', 'instructor')
  @Patch('classes/:id')
  change(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string, @Body() body: ChangeClassRequest): Promise<ClassResponse> {
    return this.classes.change(asker.clubId, id, body);
  }

  /** Whether several children were there, at once. */
  @ForEverybody()
  @Put('classes/:id/attendance')
  @HttpCode(204)
  setRoll(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string, @Body() { childIds, status }: RollRequest): Promise<void> {
    return this.classes.setAttendance(asker.clubId, id, childIds, status);
  }

  @ForEverybody()
  @Put('classes/:id/attendance/:childId')
  @HttpCode(204)
  setAttendance(
    @AskedBy() asker: Asker,
    @Param('id', ParseUUIDPipe) id: string,
    @Param('childId', ParseUUIDPipe) childId: string,
    @Body() body: AttendanceRequest,
  ): Promise<void> {
    return this.classes.setAttendance(asker.clubId, id, [childId], body.status);
  }

  /** Whom names in the call stand for, kept for the next time. */
  @ForEverybody()
  @Put('classes/:id/call-names')
  @HttpCode(204)
  async keepCallNames(@AskedBy() { clubId }: Asker, @Param('id', ParseUUIDPipe) id: string, @Body() body: CallNamesRequest): Promise<void> {
    const { groupId } = await this.classes.find(clubId, id);
    await this.names.keep(clubId, groupId, body);
  }

  /** What was said of a child's coming was a slip: nothing is known again. */
  @ForEverybody()
  @Delete('classes/:id/attendance/:childId')
  @HttpCode(204)
  forgetAttendance(
    @AskedBy() asker: Asker,
    @Param('id', ParseUUIDPipe) id: string,
    @Param('childId', ParseUUIDPipe) childId: string,
  ): Promise<void> {
    return this.classes.setAttendance(asker.clubId, id, [childId], null);
  }

  @ForRoles('owner', 'instructor')
  @Put('classes/:id/item-times')
  @HttpCode(204)
  storeItemTimes(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string, @Body() body: ItemTimesRequest): Promise<void> {
    return this.classes.storeItemTimes(asker.clubId, id, body);
  }
}
