import type { BadgeResponse } from '@leiter/contract';
import { Controller, Get, Header, Param, ParseUUIDPipe, Req, StreamableFile } from '@nestjs/common';
import type { Request } from 'express';
import type { JWK } from 'jose';
import { LookService } from '../club/look.service.js';
import { notFound } from '../http/problem.js';
import { originOf } from '../http/own-hosts.js';
import { ForVisitors } from '../people/session.guard.js';
import { BadgesService } from './badges.service.js';

/** What anybody may read who has the address of a badge: it is not found by guessing. Pages of others that verify badges may read it too. */
@Controller()
export class BadgesController {
  constructor(
    private readonly badges: BadgesService,
    private readonly looks: LookService,
  ) {}

  @ForVisitors()
  @Header('Access-Control-Allow-Origin', '*')
  @Header('Cross-Origin-Resource-Policy', 'cross-origin')
  @Get('badges/:id')
  @Header('X-Robots-Tag', 'noindex')
  about(@Param('id', ParseUUIDPipe) id: string): Promise<BadgeResponse> {
    return this.badges.about(id);
  }

  @ForVisitors()
  @Header('Access-Control-Allow-Origin', '*')
  @Header('Cross-Origin-Resource-Policy', 'cross-origin')
  @Get('badges/:id/credential')
  @Header('Content-Type', 'text/plain; charset=utf-8')
  credential(@Param('id', ParseUUIDPipe) id: string, @Req() request: Request): Promise<string> {
    return this.badges.credential(id, originOf(request));
  }

  @ForVisitors()
  @Header('Access-Control-Allow-Origin', '*')
  @Header('Cross-Origin-Resource-Policy', 'cross-origin')
  @Get('badges/:id/badge.svg')
  async picture(@Param('id', ParseUUIDPipe) id: string, @Req() request: Request): Promise<StreamableFile> {
    const svg = await this.badges.picture(id, originOf(request));
    return new StreamableFile(Buffer.from(svg), { type: 'image/svg+xml', disposition: 'inline; filename="badge.svg"' });
  }

  @ForVisitors()
  @Header('Access-Control-Allow-Origin', '*')
  @Header('Cross-Origin-Resource-Policy', 'cross-origin')
  @Get('issuers/:clubId')
  issuer(@Param('clubId', ParseUUIDPipe) clubId: string, @Req() request: Request): Promise<object> {
    return this.badges.issuer(clubId, originOf(request));
  }

  @ForVisitors()
  @Header('Access-Control-Allow-Origin', '*')
  @Header('Cross-Origin-Resource-Policy', 'cross-origin')
  @Get('issuers/:clubId/key')
  key(@Param('clubId', ParseUUIDPipe) clubId: string, @Req() request: Request): Promise<JWK> {
    return this.badges.publicKey(clubId, originOf(request));
  }

  @ForVisitors()
  @Header('Access-Control-Allow-Origin', '*')
  @Header('Cross-Origin-Resource-Policy', 'cross-origin')
  @Get('issuers/:clubId/revoked')
  revoked(@Param('clubId', ParseUUIDPipe) clubId: string, @Req() request: Request): Promise<object> {
    return this.badges.revoked(clubId, originOf(request));
  }

  @ForVisitors()
  @Header('Access-Control-Allow-Origin', '*')
  @Header('Cross-Origin-Resource-Policy', 'cross-origin')
  @Get('issuers/:clubId/achievements/:gradeId')
  achievement(
    @Param('clubId', ParseUUIDPipe) clubId: string,
    @Param('gradeId', ParseUUIDPipe) gradeId: string,
    @Req() request: Request,
  ): Promise<object> {
    return this.badges.achievement(clubId, gradeId, originOf(request));
  }

  @ForVisitors()
  @Header('Access-Control-Allow-Origin', '*')
  @Header('Cross-Origin-Resource-Policy', 'cross-origin')
  @Get('issuers/:clubId/crest.png')
  async crest(@Param('clubId', ParseUUIDPipe) clubId: string): Promise<StreamableFile> {
    const crest = await this.looks.crest(clubId);
    if (!crest) throw notFound('crest');
    return new StreamableFile(crest, { type: 'image/png' });
  }
}
