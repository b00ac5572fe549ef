import { Controller, Get } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { Public } from '../people/session.guard.js';
import { ProblemException } from './problem.js';

@Controller('health')
export class HealthController {
  constructor(@InjectDataSource() private readonly source: DataSource) {}

  /** Says whether the database answers: 200 or 503. */
  @Public()
  @Get()
  async health(): Promise<{ readonly database: 'answers' }> {
    try {
      await this.source.query('SELECT 1');
    } catch {
      throw new ProblemException(503, 'The database does not answer.', { database: 'away' });
    }
    return { database: 'answers' };
  }
}
