import { createHash } from 'node:crypto';
import { PresenceRequest, type LiveEvent, type Presence } from '@leiter/contract';
import { Body, Controller, Get, Headers, HttpCode, Param, ParseUUIDPipe, Put, Req, Res } from '@nestjs/common';
import type { Request, Response } from 'express';
import { NoticesService } from '../database/notices.service.js';
import { openEventStream } from '../http/event-stream.js';
import { ProblemException } from '../http/problem.js';
import type { Asker } from '../people/asker.js';
import { PeopleService } from '../people/people.service.js';
import { AskedBy, ForEverybody } from '../people/session.guard.js';
import { LiveService } from './live.service.js';

/** So many pages of one person are told; a browser that forgets to close them does not hold the server. */
const mostStreams = 30;

@Controller()
export class LiveController {
  private readonly streams = new Map<string, number>();

  constructor(
    private readonly live: LiveService,
    private readonly people: PeopleService,
    private readonly notices: NoticesService,
  ) {}

  /**
   * What happens in the club, as server-sent events. A reader that comes back says which it saw last (`Last-Event-ID`) and is told
   * all since; where that is not kept any more, `reset` says that everything is to be read anew.
   */
  @ForEverybody()
  @Get('events')
  async events(
    @AskedBy() asker: Asker,
    @Req() request: Request,
    @Res() response: Response,
    @Headers('last-event-id') lastId: string | undefined,
  ): Promise<void> {
    const open = this.streams.get(asker.id) ?? 0;
    if (open >= mostStreams) throw new ProblemException(429, 'Leiter is open in too many tabs.');
    const since = lastId !== undefined && /^\d{1,15}$/.test(lastId) ? Number(lastId) : null;
    const { newest, isWhole } = await this.live.position(asker.clubId, since);
    this.streams.set(asker.id, open + 1);
    const stream = openEventStream(request, response, {
      onPulse: () => void check(),
      onEnd: () => {
        stopReading();
        stopSession();
        stopPerson();
        const left = (this.streams.get(asker.id) ?? 1) - 1;
        if (left > 0) this.streams.set(asker.id, left);
        else this.streams.delete(asker.id);
      },
    });
    const begin = isWhole && since !== null ? since : newest;
    stream.write(`retry: 1000\nevent: ${isWhole ? 'ready' : 'reset'}\nid: ${String(begin)}\ndata: {}\n\n`);
    const stopReading = this.live.add({
      clubId: asker.clubId,
      last: begin,
      tell: (event, id) => {
        stream.write(messageOf(event, id));
      },
    });
    const isSame = async (): Promise<boolean> => (await this.people.asker(asker.id))?.role === asker.role;
    const check = async (): Promise<void> => {
      // who was put away, or has another role by now, is not told any more
      if (!(await isSame().catch(() => true))) stream.end();
    };
    const session = createHash('md5').update(request.sessionID).digest('hex');
    const stopSession = this.notices.on('leiter_session', {
      told: (ended) => {
        if (ended === session) stream.end();
      },
      missed: () => undefined,
    });
    const stopPerson = this.notices.on('leiter_person', {
      told: (id) => {
        if (id === asker.id) setImmediate(() => void check());
      },
      missed: () => undefined,
    });
  }

  /** Says that a class is open in a tab, and on which item; again every few seconds, and once when it is left. */
  @ForEverybody()
  @Put('classes/:id/presence')
  @HttpCode(200)
  async presence(
    @AskedBy() asker: Asker,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: PresenceRequest,
  ): Promise<readonly Presence[]> {
    await this.live.note(asker, id, body);
    return this.live.whoIsHere(asker.clubId, id);
  }
}

function messageOf(event: LiveEvent, id: number | null): string {
  return `${id === null ? '' : `id: ${String(id)}\n`}data: ${JSON.stringify(event)}\n\n`;
}
