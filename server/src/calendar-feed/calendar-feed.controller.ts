import type { CalendarLinkMade, CalendarLinkResponse } from '@leiter/contract';
import { Controller, Delete, Get, Headers, HttpCode, Ip, Param, Post, Req, Res } from '@nestjs/common';
import type { Request, Response } from 'express';
import { HomeLinksService, tokenIn } from '../home/home-links.service.js';
import { originOf } from '../http/own-hosts.js';
import { notFound } from '../http/problem.js';
import type { Asker } from '../people/asker.js';
import { AskedBy, ForEverybody, ForVisitors } from '../people/session.guard.js';
import { CalendarFeedService } from './calendar-feed.service.js';
import { CalendarLinksService } from './calendar-links.service.js';

@Controller()
export class CalendarFeedController {
  constructor(
    private readonly links: CalendarLinksService,
    private readonly feeds: CalendarFeedService,
    private readonly homes: HomeLinksService,
  ) {}

  @ForEverybody()
  @Get('calendar-link')
  async link(@AskedBy() { id }: Asker): Promise<CalendarLinkResponse> {
    return { madeAt: await this.links.madeAt(id) };
  }

  /** Makes the link of one’s own calendar; the one before is good no more. */
  @ForEverybody()
  @Post('calendar-link')
  async make(@AskedBy() { id }: Asker): Promise<CalendarLinkMade> {
    return { token: await this.links.make(id) };
  }

  @ForEverybody()
  @Delete('calendar-link')
  @HttpCode(204)
  end(@AskedBy() { id }: Asker): Promise<void> {
    return this.links.end(id);
  }

  /** The link by which a family's calendar follows what its child has. */
  @ForVisitors()
  @Post('home/calendar')
  async makeForFamily(@Headers('authorization') authorization: string | undefined, @Ip() address: string): Promise<CalendarLinkMade> {
    const { clubId, childId } = await this.homes.childOf(tokenIn(authorization), address);
    return { token: await this.links.makeForFamily(clubId, childId) };
  }

  /** What calendars ask for: the link is all they have. */
  @ForVisitors()
  @Get('calendars/:token')
  async feed(@Param('token') token: string, @Req() request: Request, @Res() response: Response): Promise<void> {
    const follower = await this.links.followerOf(token.replace(/\.ics$/, ''));
    if (!follower) throw notFound('calendar');
    const text = await this.feeds.feed(follower, originOf(request));
    response
      .set({ 'content-type': 'text/calendar; charset=utf-8', 'cache-control': 'private, no-cache', 'x-robots-tag': 'noindex' })
      .send(text);
  }
}
