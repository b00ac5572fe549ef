import { isDay } from '@leiter/core';
import { Controller, Get, Param, ParseUUIDPipe, Query, StreamableFile } from '@nestjs/common';
import { fieldRefused } from '../http/problem.js';
import type { Asker } from '../people/asker.js';
import { AskedBy, ForRoles } from '../people/session.guard.js';
import { CertificatesService } from './certificates.service.js';

const asFile = ({ pdf, name }: { readonly pdf: Buffer; readonly name: string }): StreamableFile =>
  new StreamableFile(pdf, { type: 'application/pdf', disposition: `inline; filename="${name}"` });

@Controller()
export class CertificatesController {
  constructor(private readonly certificates: CertificatesService) {}

  /** The certificate of a grade that a child has. */
  @ForRoles('owner', 'instructor')
  @Get('children/:id/certificates/:gradeId')
  async ofGrade(
    @AskedBy() { clubId }: Asker,
    @Param('id', ParseUUIDPipe) id: string,
    @Param('gradeId', ParseUUIDPipe) gradeId: string,
  ): Promise<StreamableFile> {
    return asFile(await this.certificates.ofGrade(clubId, id, gradeId));
  }

  /** The certificates of all grades that children of a group were given from a day on. */
  @ForRoles('owner', 'instructor')
  @Get('groups/:id/certificates')
  async ofGroup(
    @AskedBy() { clubId }: Asker,
    @Param('id', ParseUUIDPipe) id: string,
    @Query('since') since: string | undefined,
  ): Promise<StreamableFile> {
    if (since === undefined || !isDay(since)) throw fieldRefused('since', 'From which day on? Written 2019-04-30.');
    return asFile(await this.certificates.ofGroup(clubId, id, since));
  }

  /** The certificates of all grades that were given on a grading day. */
  @ForRoles('owner', 'instructor')
  @Get('gradings/:id/certificates')
  async ofGrading(@AskedBy() { clubId }: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<StreamableFile> {
    return asFile(await this.certificates.ofGrading(clubId, id));
  }

  /** A certificate for everybody who was in a class. */
  @ForRoles('owner', 'instructor')
  @Get('classes/:id/certificates')
  async ofClass(@AskedBy() { clubId }: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<StreamableFile> {
    return asFile(await this.certificates.ofClass(clubId, id));
  }
}
