import type { Role } from '@leiter/contract';
import { createParamDecorator, Injectable, Logger, SetMetadata, type CanActivate, type ExecutionContext } from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import type { Request } from 'express';
import { ProblemException } from '../http/problem.js';
import type { Asker } from './asker.js';
import { PeopleService } from './people.service.js';

declare module 'express-session' {
  interface SessionData {
    personId: string;
  }
}

/** For whom a route is: visitors who are not signed in, or people in one of these roles. */
export type Access = { readonly kind: 'visitors' } | { readonly kind: 'people'; readonly roles: readonly Role[] };

export const accessKey = 'leiter:access';

/** A route that answers without a session. */
export const ForVisitors = (): MethodDecorator => SetMetadata(accessKey, { kind: 'visitors' } satisfies Access);
/** A route for people in these roles only. */
export const ForRoles = (...roles: readonly Role[]): MethodDecorator => SetMetadata(accessKey, { kind: 'people', roles } satisfies Access);
/** A route for everybody who works in the club. */
export const ForEverybody = (): MethodDecorator => ForRoles('owner', 'instructor', 'assistant');

export const AskedBy = createParamDecorator((_: unknown, context: ExecutionContext): Asker => {
  const { asker } = context.switchToHttp().getRequest<Request & { asker?: Asker }>();
  if (!asker) throw new ProblemException(401);
  return asker;
});

/** Closed by default: a route that does not say for whom it is lets nobody in. */
@Injectable()
export class SessionGuard implements CanActivate {
  private readonly logger = new Logger('access');

  constructor(
    private readonly reflector: Reflector,
    private readonly people: PeopleService,
  ) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    const access = this.reflector.get<Access | undefined>(accessKey, context.getHandler());
    if (!access) {
      this.logger.error(`${context.getClass().name}.${context.getHandler().name} does not say for whom it is.`);
      throw new ProblemException(403);
    }
    if (access.kind === 'visitors') return true;
    const request = context.switchToHttp().getRequest<Request & { asker?: Asker }>();
    const { personId } = request.session;
    const asker = personId === undefined ? null : await this.people.asker(personId);
    if (!asker) throw new ProblemException(401);
    if (!access.roles.includes(asker.role)) throw new ProblemException(403);
    request.asker = asker;
    return true;
  }
}
