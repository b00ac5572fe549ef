import type { ChangePersonRequest, PersonResponse } from '@leiter/contract';
import { accepted, refused, type Result, type TeachingRoom, type TeachingStyle, type TeachingVoice } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource, InjectRepository } from '@nestjs/typeorm';
import { DataSource, IsNull, Repository } from 'typeorm';
import { Kept } from '../database/kept.js';
import { NoticesService } from '../database/notices.service.js';
import { rows } from '../database/rows.js';
import { notFound } from '../http/problem.js';
import type { Asker } from './asker.js';
import { hashPassword, isPassword, passwordFaultOf, type PasswordFault } from './passwords.js';
import { PersonEntity } from './person.entity.js';

export interface ChangePersonRefusal {
  readonly kind: 'last-owner';
}
export type ChangePasswordRefusal = { readonly kind: 'wrong-password' } | { readonly kind: 'too-easy'; readonly fault: PasswordFault };

const keptMilliseconds = 60_000;

export function personResponse(person: PersonEntity): PersonResponse {
  return { id: person.id, name: person.name, email: person.email, role: person.role, isPutAway: person.putAwayAt !== null };
}

@Injectable()
export class PeopleService {
  /** Verified when the person is unknown, so that the answer takes as long as for a wrong password. */
  private readonly decoy = hashPassword('a password nobody has');
  private readonly askers: Kept<Asker | null>;

  constructor(
    @InjectRepository(PersonEntity) private readonly people: Repository<PersonEntity>,
    @InjectDataSource() private readonly source: DataSource,
    notices: NoticesService,
  ) {
    this.askers = new Kept(notices, 'leiter_person', { most: 2000, milliseconds: keptMilliseconds });
  }

  find(id: string): Promise<PersonEntity | null> {
    return this.people.findOneBy({ id, putAwayAt: IsNull() });
  }

  /** Who is signed in with a session; null for who was put away or is not there any more. */
  asker(id: string): Promise<Asker | null> {
    return this.askers.of(id, async () => {
      const person = await this.find(id);
      return person && { kind: 'person', id: person.id, clubId: person.clubId, role: person.role };
    });
  }

  async saveRoom(id: string, room: TeachingRoom | null): Promise<PersonEntity> {
    await this.people.update({ id }, { room });
    return this.people.findOneByOrFail({ id });
  }

  async saveStyle(id: string, style: TeachingStyle): Promise<PersonEntity> {
    await this.people.update({ id }, { style });
    return this.people.findOneByOrFail({ id });
  }

  async saveVoice(id: string, voice: TeachingVoice): Promise<PersonEntity> {
    await this.people.update({ id }, { voice });
    return this.people.findOneByOrFail({ id });
  }

  /** @returns the person, or null alike for an unknown address, one who was put away, and a wrong password. */
  async signIn(email: string, password: string): Promise<PersonEntity | null> {
    const person = await this.people.findOneBy({ email: email.trim().toLowerCase(), putAwayAt: IsNull() });
    const isRight = await isPassword(password, person?.passwordHash ?? (await this.decoy));
    return person && isRight ? person : null;
  }

  async list(clubId: string): Promise<readonly PersonResponse[]> {
    const people = await this.people.find({ where: { clubId }, order: { name: 'ASC' } });
    return people.map(personResponse);
  }

  /** A password of one's own, against the old one; whoever else is signed in as this person is signed out. */
  async changePassword(
    asker: Asker,
    sessionId: string,
    { oldPassword, newPassword }: { readonly oldPassword: string; readonly newPassword: string },
  ): Promise<Result<undefined, ChangePasswordRefusal>> {
    const person = await this.people.findOneByOrFail({ id: asker.id });
    if (!(await isPassword(oldPassword, person.passwordHash))) return refused({ kind: 'wrong-password' });
    const fault = passwordFaultOf(newPassword, [person.name, person.email]);
    if (fault) return refused({ kind: 'too-easy', fault });
    const passwordHash = await hashPassword(newPassword);
    await this.source.transaction(async (manager) => {
      await manager.update(PersonEntity, { id: person.id }, { passwordHash });
      await manager.query('DELETE FROM session WHERE person_id = $1 AND sid <> $2', [person.id, sessionId]);
    });
    return accepted(undefined);
  }

  /** Another role, put away or brought back; the club keeps an owner. Who is put away is signed out at once, and what they wrote stays theirs. */
  async change(asker: Asker, id: string, { role, isPutAway }: ChangePersonRequest): Promise<Result<PersonResponse, ChangePersonRefusal>> {
    return this.source.transaction(async (manager) => {
      // all owners are locked: two owners cannot put each other away
      const owners = await rows<{ readonly id: string }>(
        manager,
        `SELECT id FROM person WHERE club_id = $1 AND role = 'owner' AND put_away_at IS NULL ORDER BY id FOR UPDATE`,
        [asker.clubId],
      );
      const person = await manager.findOneBy(PersonEntity, { id, clubId: asker.clubId });
      if (!person) throw notFound('person');
      const isOwnerNow = owners.some((owner) => owner.id === id);
      const staysOwner = (role ?? person.role) === 'owner' && !(isPutAway ?? person.putAwayAt !== null);
      if (isOwnerNow && !staysOwner && owners.length === 1) return refused({ kind: 'last-owner' });
      const putAwayAt = isPutAway === undefined ? person.putAwayAt : isPutAway ? (person.putAwayAt ?? new Date()) : null;
      await manager.update(PersonEntity, { id }, { role: role ?? person.role, putAwayAt });
      if (putAwayAt) await manager.query('DELETE FROM session WHERE person_id = $1', [id]);
      return accepted(personResponse(await manager.findOneByOrFail(PersonEntity, { id })));
    });
  }
}
