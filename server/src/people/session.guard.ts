import type { Role } from '@leiter/contract';
import { createParamDecorator, Injectable, SetMetadata, type CanActivate, type ExecutionContext } from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import type { Request } from 'express';
import { ProblemException } from '../http/problem.js';
import { PeopleService } from './people.service.js';

declare module 'express-session' {
  interface SessionData {
    personId: string;
  }
}

/** Who is asking, as the guard found it; every query is scoped by `clubId`. */
export interface Asker {
  readonly id: string;
  readonly clubId: string;
  readonly role: Role;
}

const publicKey = 'leiter:public';
const rolesKey = 'leiter:roles';

/** A route that answers without a session. */
export const Public = (): MethodDecorator => SetMetadata(publicKey, true);
/** A route for these roles only; without it, every role may. */
export const ForRoles = (...roles: readonly Role[]): MethodDecorator => SetMetadata(rolesKey, roles);

export const AskedBy = createParamDecorator((_: unknown, context: ExecutionContext): Asker => {
  const { asker } = context.switchToHttp().getRequest<Request & { asker?: Asker }>();
  if (!asker) throw new ProblemException(401);
  return asker;
});

/** Lets in who is signed in, and only to what the role allows. */
@Injectable()
export class SessionGuard implements CanActivate {
  constructor(
    private readonly reflector: Reflector,
    private readonly people: PeopleService,
  ) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    if (this.reflector.get<boolean | undefined>(publicKey, context.getHandler())) return true;
    const request = context.switchToHttp().getRequest<Request & { asker?: Asker }>();
    const personId = request.session.personId;
    const person = personId === undefined ? null : await this.people.find(personId);
    if (!person) throw new ProblemException(401);
    const roles = this.reflector.get<readonly Role[] | undefined>(rolesKey, context.getHandler());
    if (roles && !roles.includes(person.role)) throw new ProblemException(403);
    request.asker = { id: person.id, clubId: person.clubId, role: person.role };
    return true;
  }
}
