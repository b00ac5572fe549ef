import { isDay } from '@leiter/core';
import { Controller, Get, Param, ParseUUIDPipe, Query, Req, Res, type StreamableFile } from '@nestjs/common';
import type { Request, Response } from 'express';
import { originOf } from '../http/own-hosts.js';
import { paperAnswer } from '../http/paper-answer.js';
import { fieldRefused } from '../http/problem.js';
import type { Asker } from '../people/asker.js';
import { AskedBy, ForRoles } from '../people/session.guard.js';
import { BadgesService } from './badges.service.js';
import { CertificatesService, type Batch } from './certificates.service.js';

@Controller()
export class CertificatesController {
  constructor(
    private readonly certificates: CertificatesService,
    private readonly badges: BadgesService,
  ) {}

  /** The certificate of a grade that a child has. */
  @ForRoles('owner', 'instructor')
  @Get('children/:id/certificates/:gradeId')
  async ofGrade(
    @AskedBy() { clubId }: Asker,
    @Param('id', ParseUUIDPipe) id: string,
    @Param('gradeId', ParseUUIDPipe) gradeId: string,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<StreamableFile> {
    return this.answer(clubId, await this.certificates.ofGrade(clubId, id, gradeId, originOf(request)), request, response);
  }

  /** The id under which a grade can be verified and its badge fetched, where the family allows it. */
  @ForRoles('owner', 'instructor')
  @Get('children/:id/badges/:gradeId')
  async badgeOfGrade(
    @AskedBy() { clubId }: Asker,
    @Param('id', ParseUUIDPipe) id: string,
    @Param('gradeId', ParseUUIDPipe) gradeId: string,
  ): Promise<{ readonly id: string }> {
    return { id: await this.badges.ofGrade(clubId, id, gradeId) };
  }

  /** The certificates of all grades that children of a group were given from a day on. */
  @ForRoles('owner', 'instructor')
  @Get('groups/:id/certificates')
  async ofGroup(
    @AskedBy() { clubId }: Asker,
    @Param('id', ParseUUIDPipe) id: string,
    @Query('since') since: string | undefined,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<StreamableFile> {
    if (since === undefined || !isDay(since)) throw fieldRefused('since', 'From which day on? Written 2019-04-30.');
    return this.answer(clubId, await this.certificates.ofGroup(clubId, id, since, originOf(request)), request, response);
  }

  /** The certificates of all grades that were given on a grading day. */
  @ForRoles('owner', 'instructor')
  @Get('gradings/:id/certificates')
  async ofGrading(
    @AskedBy() { clubId }: Asker,
    @Param('id', ParseUUIDPipe) id: string,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<StreamableFile> {
    return this.answer(clubId, await this.certificates.ofGrading(clubId, id, originOf(request)), request, response);
  }

  /** A certificate for everybody who was in a class. */
  @ForRoles('owner', 'instructor')
  @Get('classes/:id/certificates')
  async ofClass(
    @AskedBy() { clubId }: Asker,
    @Param('id', ParseUUIDPipe) id: string,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<StreamableFile> {
    return this.answer(clubId, await this.certificates.ofClass(clubId, id), request, response);
  }

  private answer(clubId: string, batch: Batch, request: Request, response: Response): Promise<StreamableFile> {
    return paperAnswer(request, response, batch.name, batch.certificates.length, (onPages, signal) =>
      this.certificates.print(clubId, batch, onPages, signal),
    );
  }
}
