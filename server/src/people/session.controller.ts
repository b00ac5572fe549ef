import {
  ChangePasswordRequest,
  SaveRoomRequest,
  SaveStyleRequest,
  SaveVoiceRequest,
  SignInRequest,
  type PersonResponse,
  type SessionResponse,
} from '@leiter/contract';
import { usualVoice } from '@leiter/core';
import { Body, Controller, Delete, Get, HttpCode, Post, Put, Req, Res } from '@nestjs/common';
import type { Request, Response } from 'express';
import { ClubService } from '../club/club.service.js';
import { fieldRefused, ProblemException } from '../http/problem.js';
import type { Asker } from './asker.js';
import { passwordFaultWords } from './passwords.js';
import { PeopleService, personResponse } from './people.service.js';
import type { PersonEntity } from './person.entity.js';
import { endSession, startSession } from './session.js';
import { AskedBy, ForEverybody, ForVisitors } from './session.guard.js';
import { SignInTriesService } from './sign-in-tries.service.js';

@Controller('session')
export class SessionController {
  constructor(
    private readonly people: PeopleService,
    private readonly clubs: ClubService,
    private readonly tries: SignInTriesService,
  ) {}

  @ForVisitors()
  @Post()
  @HttpCode(200)
  async signIn(
    @Body() body: SignInRequest,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<SessionResponse> {
    await this.tries.note(request, body.email);
    const person = await this.people.signIn(body.email, body.password);
    if (!person) throw new ProblemException(401, 'E-mail address and password do not belong together.');
    await this.tries.forget(request, response, body.email);
    await startSession(request, person.id);
    return this.session(person);
  }

  @ForEverybody()
  @Get()
  async read(@AskedBy() asker: Asker): Promise<SessionResponse> {
    const person = await this.people.find(asker.id);
    if (!person) throw new ProblemException(401);
    return this.session(person);
  }

  /** Notes where the person who is signed in teaches: plans of its classes are looked at with it. */
  @ForEverybody()
  @Put('room')
  async saveRoom(@AskedBy() asker: Asker, @Body() body: SaveRoomRequest): Promise<SessionResponse> {
    return this.session(await this.people.saveRoom(asker.id, body.room));
  }

  /** Notes how the person who is signed in teaches: plans of its classes are reckoned with it. */
  @ForEverybody()
  @Put('style')
  async saveStyle(@AskedBy() asker: Asker, @Body() body: SaveStyleRequest): Promise<SessionResponse> {
    return this.session(await this.people.saveStyle(asker.id, body.style));
  }

  /** Notes how the person who is signed in leads a class: what is said aloud, when the work begins, which side is shown. */
  @ForEverybody()
  @Put('voice')
  async saveVoice(@AskedBy() asker: Asker, @Body() body: SaveVoiceRequest): Promise<SessionResponse> {
    return this.session(await this.people.saveVoice(asker.id, body));
  }

  /** A new password for who is signed in; other browsers in which the person is signed in are signed out. */
  @ForEverybody()
  @Put('password')
  @HttpCode(204)
  async changePassword(@AskedBy() asker: Asker, @Body() body: ChangePasswordRequest, @Req() request: Request): Promise<void> {
    await this.tries.note(request, `the password of ${asker.id}`);
    const changed = await this.people.changePassword(asker, request.sessionID, body);
    if (changed.ok) return;
    switch (changed.error.kind) {
      case 'wrong-password':
        throw fieldRefused('oldPassword', 'This is not your password.');
      case 'too-easy':
        throw fieldRefused('newPassword', passwordFaultWords[changed.error.fault]);
    }
  }

  @ForVisitors()
  @Delete()
  @HttpCode(204)
  signOut(@Req() request: Request): Promise<void> {
    return endSession(request);
  }

  private async session(person: PersonEntity): Promise<SessionResponse> {
    const club = await this.clubs.find(person.clubId);
    const answer: { person: PersonResponse } = { person: personResponse(person) };
    return {
      ...answer,
      club: { name: club.name, isDemo: club.isDemo, timeZone: club.timeZone },
      room: person.room,
      style: person.style,
      voice: { ...usualVoice, ...person.voice },
      today: this.clubs.todayIn(club),
    };
  }
}
