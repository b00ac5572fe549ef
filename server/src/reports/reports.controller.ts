import type { ReportResponse } from '@leiter/contract';
import { Controller, Get, Header, Param, Query } from '@nestjs/common';
import { fieldRefused, notFound } from '../http/problem.js';
import { writeTable } from '../http/spreadsheet.js';
import type { Asker } from '../people/asker.js';
import { AskedBy, ForRoles } from '../people/session.guard.js';
import { isReportTable, reportTable } from './report-tables.js';
import { ReportsService } from './reports.service.js';

const [leastWeeks, mostWeeks] = [1, 104];

@Controller()
export class ReportsController {
  constructor(private readonly reports: ReportsService) {}

  /** Every group over so many weeks until today. */
  @ForRoles('owner', 'instructor')
  @Get('reports')
  report(@AskedBy() { clubId }: Asker, @Query('weeks') weeks: string | undefined): Promise<ReportResponse> {
    return this.reports.report(clubId, weeksOf(weeks));
  }

  /** One part of it for a spreadsheet. */
  @ForRoles('owner', 'instructor')
  @Get('reports/:table')
  @Header('Content-Type', 'text/csv; charset=utf-8')
  async table(@AskedBy() { clubId }: Asker, @Param('table') name: string, @Query('weeks') weeks: string | undefined): Promise<string> {
    if (!isReportTable(name)) throw notFound('report');
    return writeTable(reportTable(name, await this.reports.report(clubId, weeksOf(weeks)), await this.reports.movementNames(clubId)));
  }
}

function weeksOf(text: string | undefined): number {
  const count = Number(text ?? '14');
  if (!Number.isInteger(count) || count < leastWeeks || count > mostWeeks)
    throw fieldRefused('weeks', `From ${String(leastWeeks)} to ${String(mostWeeks)} weeks.`);
  return count;
}
