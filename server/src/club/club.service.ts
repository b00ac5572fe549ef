import type { Day } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { DateTime } from 'luxon';
import { Repository } from 'typeorm';
import { notFound } from '../http/problem.js';
import { ClubEntity } from './club.entity.js';

@Injectable()
export class ClubService {
  constructor(@InjectRepository(ClubEntity) private readonly clubs: Repository<ClubEntity>) {}

  async find(id: string): Promise<ClubEntity> {
    const club = await this.clubs.findOneBy({ id });
    if (!club) throw notFound('club');
    return club;
  }

  exists(): Promise<boolean> {
    return this.clubs.exists();
  }

  hasDemo(): Promise<boolean> {
    return this.clubs.existsBy({ isDemo: true });
  }

  /** The calendar day it is where the club is. */
  todayIn(club: Pick<ClubEntity, 'timeZone'>): Day {
    return todayInZone(club.timeZone);
  }

  async today(clubId: string): Promise<Day> {
    return this.todayIn(await this.find(clubId));
  }
}

export function todayInZone(timeZone: string): Day {
  return DateTime.now().setZone(timeZone).toISODate() ?? DateTime.utc().toISODate();
}
