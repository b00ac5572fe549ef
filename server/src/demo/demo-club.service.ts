import { readFile } from 'node:fs/promises';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { ClubEntity } from '../club/club.entity.js';
import { todayInZone } from '../club/club.service.js';
import { foundClub } from '../club/founding.service.js';
import { LookService } from '../club/look.service.js';
import { lockFor } from '../database/locks.js';
import { hashPassword } from '../people/passwords.js';
import { PersonEntity } from '../people/person.entity.js';
import { root } from '../root.js';
import { SyllabusService } from '../syllabus/syllabus.service.js';
import { demoLists } from './demo-lists.js';
import { demoPassword, demoPeople } from './demo-people.js';
import { DemoTerm } from './demo-term.js';

const timeZone = 'Europe/London';

/** Fills an empty database with the demo club: the same each time, with days relative to today. */
@Injectable()
export class DemoClubService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly syllabuses: SyllabusService,
    private readonly looks: LookService,
  ) {}

  /** @returns false when there is a club already: nothing is touched then. All of it is there, or nothing. */
  async load(): Promise<boolean> {
    const crest = await readFile(`${root}content/demo/crest.svg`);
    const passwordHash = await hashPassword(demoPassword);
    return this.source.transaction(async (manager) => {
      // at the start nobody waits for an answer: on a slow machine the other server may need minutes for its club
      await manager.query(`SET LOCAL statement_timeout = '10min'`);
      await lockFor(manager, 'founding', '');
      if (await manager.exists(ClubEntity)) return false;
      const { id: clubId } = await foundClub(manager, { name: demoLists().club, timeZone, isDemo: true });
      await manager.save(
        demoPeople.map(({ name, email, role }) =>
          manager.create(PersonEntity, { clubId, name, email, role, passwordHash, putAwayAt: null }),
        ),
      );
      await this.looks.giveCrest(clubId, crest, manager);
      await this.looks.change(clubId, { colour: '#b5442e', secondColour: '#1f4e79' }, manager);
      const ladders = await this.syllabuses.list(clubId, manager);
      await new DemoTerm(manager, clubId, todayInZone(timeZone), ladders).store();
      return true;
    });
  }
}
