import type { MakeClubRequest, WelcomeResponse } from '@leiter/contract';
import { accepted, nextLadder, refused, writeMovement, type Result } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { IANAZone } from 'luxon';
import { DataSource, type EntityManager } from 'typeorm';
import { lockFor } from '../database/locks.js';
import { rows } from '../database/rows.js';
import { shippedLibrary, shippedSyllabuses, type ShippedSyllabus } from '../library/shipped-content.js';
import { hashPassword, passwordFaultOf, type PasswordFault } from '../people/passwords.js';
import { PersonEntity } from '../people/person.entity.js';
import { storeLadder } from '../syllabus/ladder-store.js';
import { ProgrammeEntity } from '../syllabus/programme.entity.js';
import { demoPassword, demoPeople } from '../demo/demo-people.js';
import { ClubEntity } from './club.entity.js';
import { ClubService } from './club.service.js';

export type FoundingRefusal = { readonly kind: 'club-exists' } | { readonly kind: 'too-easy'; readonly fault: PasswordFault };

@Injectable()
export class FoundingService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clubs: ClubService,
  ) {}

  async welcome(): Promise<WelcomeResponse> {
    const clubs = await rows<{ is_demo: boolean }>(this.source, 'SELECT is_demo FROM club', []);
    const isDemo = clubs.some((club) => club.is_demo);
    return {
      needsClub: clubs.length === 0,
      demoPeople: isDemo ? demoPeople.map(({ name, email, does }) => ({ name, email, does })) : [],
      demoPassword: isDemo ? demoPassword : null,
    };
  }

  /** The first visitor makes the club, with the library and the syllabuses that ship, and is its owner. */
  async found(request: MakeClubRequest): Promise<Result<PersonEntity, FoundingRefusal>> {
    if (await this.clubs.exists()) return refused({ kind: 'club-exists' });
    const fault = passwordFaultOf(request.password, [request.ownerName, request.email, request.clubName]);
    if (fault) return refused({ kind: 'too-easy', fault });
    const passwordHash = await hashPassword(request.password);
    const timeZone = IANAZone.isValidZone(request.timeZone) ? request.timeZone : 'UTC';
    return this.source.transaction(async (manager) => {
      await lockFor(manager, 'founding', '');
      if (await manager.exists(ClubEntity)) return refused({ kind: 'club-exists' });
      const club = await foundClub(manager, { name: request.clubName, timeZone, isDemo: false });
      const email = request.email.toLowerCase();
      const owner = await manager.save(
        manager.create(PersonEntity, { clubId: club.id, name: request.ownerName, email, role: 'owner', passwordHash, putAwayAt: null }),
      );
      return accepted(owner);
    });
  }

  /** Brings the movements of every club up to what ships now; new ones are added, and those that are the club's own stay. */
  async refreshLibraries(): Promise<void> {
    const clubs = await rows<{ id: string }>(this.source, 'SELECT id FROM club', []);
    for (const { id } of clubs) await storeShippedLibrary(this.source.manager, id);
  }
}

/** A club with the library and the syllabuses that ship. */
export async function foundClub(
  manager: EntityManager,
  about: { readonly name: string; readonly timeZone: string; readonly isDemo: boolean },
): Promise<ClubEntity> {
  const club = await manager.save(manager.create(ClubEntity, about));
  await storeShippedLibrary(manager, club.id);
  for (const shipped of shippedSyllabuses()) await storeSyllabus(manager, club.id, shipped);
  return club;
}

async function storeShippedLibrary(manager: EntityManager, clubId: string): Promise<void> {
  const movements = [...shippedLibrary().values()];
  await manager.query(
    `INSERT INTO movement (club_id, slug, document) SELECT $1, t.slug, t.document FROM unnest($2::text[], $3::jsonb[]) AS t (slug, document)
     ON CONFLICT (club_id, slug) DO UPDATE SET document = EXCLUDED.document WHERE NOT movement.is_own AND movement.document <> EXCLUDED.document`,
    [clubId, movements.map(({ slug }) => slug), movements.map((movement) => JSON.stringify(writeMovement(movement)))],
  );
}

async function storeSyllabus(manager: EntityManager, clubId: string, shipped: ShippedSyllabus): Promise<void> {
  const programme = await manager.save(
    manager.create(ProgrammeEntity, {
      clubId,
      slug: shipped.programme,
      name: shipped.name,
      stretchingSchool: shipped.stretchingSchool,
      startsAs: shipped.startsAs,
    }),
  );
  const ladder = nextLadder(null, shipped);
  await storeLadder(manager, { clubId, programmeId: programme.id, version: 1, madeBy: null }, ladder);
}
