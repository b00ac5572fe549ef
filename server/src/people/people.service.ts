import type { AddPersonRequest, PersonResponse } from '@leiter/contract';
import { accepted, refused, type Result, type TeachingRoom } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { hash, verify } from '@node-rs/argon2';
import { Repository } from 'typeorm';
import { PersonEntity } from './person.entity.js';

export interface AddPersonRefusal {
  readonly kind: 'email-taken';
}

/** OWASP's recommendation for argon2id: 19 MiB, two passes, one lane. */
const argon2id = { algorithm: 2, memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;

export function hashPassword(password: string): Promise<string> {
  return hash(password, argon2id);
}

export function personResponse(person: PersonEntity): PersonResponse {
  return { id: person.id, name: person.name, email: person.email, role: person.role };
}

@Injectable()
export class PeopleService {
  /** Verified when the person is unknown, so that the answer takes as long as for a wrong password. */
  private readonly decoy = hashPassword('a password nobody has');

  constructor(@InjectRepository(PersonEntity) private readonly people: Repository<PersonEntity>) {}

  find(id: string): Promise<PersonEntity | null> {
    return this.people.findOneBy({ id });
  }

  async saveRoom(id: string, room: TeachingRoom | null): Promise<PersonEntity> {
    const person = await this.people.findOneByOrFail({ id });
    return this.people.save(Object.assign(person, { room }));
  }

  /** @returns the person, or null alike for an unknown address and a wrong password. */
  async signIn(email: string, password: string): Promise<PersonEntity | null> {
    const person = await this.people.findOneBy({ email: email.trim().toLowerCase() });
    const isRight = await verify(person?.passwordHash ?? (await this.decoy), password);
    return person && isRight ? person : null;
  }

  async list(clubId: string): Promise<readonly PersonResponse[]> {
    const people = await this.people.find({ where: { clubId }, order: { name: 'ASC' } });
    return people.map(personResponse);
  }

  async add(clubId: string, request: AddPersonRequest): Promise<Result<PersonResponse, AddPersonRefusal>> {
    const email = request.email.toLowerCase();
    if (await this.people.existsBy({ email })) return refused({ kind: 'email-taken' });
    const passwordHash = await hashPassword(request.password);
    const person = await this.people.save(this.people.create({ clubId, name: request.name, role: request.role, email, passwordHash }));
    return accepted(personResponse(person));
  }
}
