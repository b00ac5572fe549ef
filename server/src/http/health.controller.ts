import { Controller, Get } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { ForVisitors } from '../people/session.guard.js';
import { databaseFaultOf } from './database-fault.js';
import { ProblemException } from './problem.js';

const askedAgainMilliseconds = 2000;

interface Health {
  readonly database: 'writes';
}

@Controller('health')
export class HealthController {
  private last: { readonly at: number; readonly answer: Promise<Health> } | null = null;

  constructor(@InjectDataSource() private readonly source: DataSource) {}

  /** Says whether what is written would be stored: 200 or 503. Asked often, the database is asked every two seconds. */
  @ForVisitors()
  @Get()
  health(): Promise<Health> {
    const now = performance.now();
    if (!this.last || now - this.last.at > askedAgainMilliseconds) this.last = { at: now, answer: this.look() };
    return this.last.answer;
  }

  /** Writes a few pages and takes them back: a full disk is seen before a mark meets it. */
  private async look(): Promise<Health> {
    try {
      await this.source.transaction(async (manager) => {
        await manager.query(`SET LOCAL statement_timeout = '3s'`);
        await manager.query('TRUNCATE readiness');
        await manager.query(`INSERT INTO readiness SELECT repeat(md5(n::text), 60) FROM generate_series(1, 32) n`);
        throw new Unwritten();
      });
    } catch (error) {
      if (error instanceof Unwritten) return { database: 'writes' };
      const isPassing = databaseFaultOf(error)?.kind === 'passing';
      throw new ProblemException(503, 'The database does not take anything in.', { database: isPassing ? 'away' : 'faulty' });
    }
    throw new ProblemException(503, 'The database does not take anything in.', { database: 'faulty' });
  }
}

/** Rolls the test back. */
class Unwritten extends Error {}
