import { SaveRoomRequest, SignInRequest, type PersonResponse, type SessionResponse } from '@leiter/contract';
import { Body, Controller, Delete, Get, HttpCode, Post, Put, Req, UseGuards } from '@nestjs/common';
import { Throttle } from '@nestjs/throttler';
import type { Request } from 'express';
import { ClubService } from '../club/club.service.js';
import { ProblemException } from '../http/problem.js';
import { PeopleService, personResponse } from './people.service.js';
import type { PersonEntity } from './person.entity.js';
import { AskedBy, Public, type Asker } from './session.guard.js';
import { SignInThrottle } from './sign-in.throttle.js';

@Controller('session')
export class SessionController {
  constructor(
    private readonly people: PeopleService,
    private readonly clubs: ClubService,
  ) {}

  @Public()
  @UseGuards(SignInThrottle)
  @Throttle({ default: { limit: 20, ttl: 60_000 } })
  @Post()
  @HttpCode(200)
  async signIn(@Body() body: SignInRequest, @Req() request: Request): Promise<SessionResponse> {
    const person = await this.people.signIn(body.email, body.password);
    if (!person) throw new ProblemException(401, 'E-mail address and password do not belong together.');
    await startSession(request, person);
    return this.session(person);
  }

  @Get()
  async read(@AskedBy() asker: Asker): Promise<SessionResponse> {
    const person = await this.people.find(asker.id);
    if (!person) throw new ProblemException(401);
    return this.session(person);
  }

  /** Notes where the person who is signed in teaches: plans of its classes are looked at with it. */
  @Put('room')
  async saveRoom(@AskedBy() asker: Asker, @Body() body: SaveRoomRequest): Promise<SessionResponse> {
    return this.session(await this.people.saveRoom(asker.id, body.room));
  }

  @Public()
  @Delete()
  @HttpCode(204)
  async signOut(@Req() request: Request): Promise<void> {
    await new Promise<void>((resolve, reject) => {
      request.session.destroy((error: unknown) => {
        if (error instanceof Error) reject(error);
        else resolve();
      });
    });
  }

  private async session(person: PersonEntity): Promise<SessionResponse> {
    const club = await this.clubs.find(person.clubId);
    const answer: { person: PersonResponse } = { person: personResponse(person) };
    return {
      ...answer,
      club: { name: club.name, isDemo: club.isDemo, timeZone: club.timeZone },
      room: person.room,
      today: this.clubs.todayIn(club),
    };
  }
}

/** A fresh session id at every sign-in, so that one planted before is worth nothing. */
export async function startSession(request: Request, person: PersonEntity): Promise<void> {
  await new Promise<void>((resolve, reject) => {
    request.session.regenerate((error: unknown) => {
      if (error instanceof Error) reject(error);
      else resolve();
    });
  });
  request.session.personId = person.id;
  await new Promise<void>((resolve, reject) => {
    request.session.save((error: unknown) => {
      if (error instanceof Error) reject(error);
      else resolve();
    });
  });
}
