import { PressRequest, RemoteRequest, StageRequest, type RemoteMade, type StageView } from '@leiter/contract';
import { Body, Controller, Get, HttpCode, Param, ParseUUIDPipe, Post, Put, Req, Res } from '@nestjs/common';
import type { Request, Response } from 'express';
import { openEventStream } from '../http/event-stream.js';
import { ProblemException } from '../http/problem.js';
import type { Asker } from '../people/asker.js';
import { AskedBy, ForEverybody, ForRoles, ForVisitors } from '../people/session.guard.js';
import { LanDoorService } from './lan-door.service.js';
import { RemoteLinksService } from './remote-links.service.js';
import { StageService, type OneClass } from './stage.service.js';

const cookieName = 'leiter-remote';
const dayMilliseconds = 24 * 3600 * 1000;
/** So many devices are told of one class, by one process: a link that went round does not hold the server. */
const mostStreams = 40;

/** A phone beside the device that teaches: with a sign-in of its own, or by a link. */
@Controller()
export class RemoteController {
  private readonly streams = new Map<string, number>();

  constructor(
    private readonly stage: StageService,
    private readonly links: RemoteLinksService,
    private readonly door: LanDoorService,
  ) {}

  /** What the device that teaches shows now. */
  @ForRoles('owner', 'instructor')
  @Put('classes/:id/stage')
  @HttpCode(204)
  show(@AskedBy() { clubId }: Asker, @Param('id', ParseUUIDPipe) classId: string, @Body() body: StageRequest): Promise<void> {
    return this.stage.show({ clubId, classId }, body);
  }

  /** What is shown, and from then on whatever changes, as server-sent events. */
  @ForEverybody()
  @Get('classes/:id/stage/events')
  events(
    @AskedBy() { clubId }: Asker,
    @Param('id', ParseUUIDPipe) classId: string,
    @Req() request: Request,
    @Res() response: Response,
  ): Promise<void> {
    return this.tell({ clubId, classId }, () => Promise.resolve(true), request, response);
  }

  @ForEverybody()
  @Post('classes/:id/presses')
  @HttpCode(204)
  press(@AskedBy() { clubId }: Asker, @Param('id', ParseUUIDPipe) classId: string, @Body() body: PressRequest): Promise<void> {
    return this.stage.press({ clubId, classId }, body);
  }

  /** Makes a link for a phone; the one before is good no more. */
  @ForRoles('owner', 'instructor')
  @Post('classes/:id/remote')
  async make(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) classId: string, @Req() request: Request): Promise<RemoteMade> {
    const token = await this.links.make(asker, classId);
    return { token, addresses: await this.door.open(request) };
  }

  /** Follows a link: the browser keeps it for the paths of the remote. */
  @ForVisitors()
  @Post('remote')
  @HttpCode(200)
  async follow(
    @Body() { token }: RemoteRequest,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<StageView> {
    const one = await this.classOf(token);
    response.cookie(cookieName, token, {
      httpOnly: true,
      sameSite: 'strict',
      secure: request.secure,
      path: '/api/remote',
      maxAge: dayMilliseconds,
    });
    return this.stage.view(one);
  }

  @ForVisitors()
  @Get('remote/events')
  async remoteEvents(@Req() request: Request, @Res() response: Response): Promise<void> {
    const token = tokenOf(request);
    const one = await this.classOf(token);
    return this.tell(one, async () => (await this.links.classOf(token)) !== null, request, response);
  }

  @ForVisitors()
  @Post('remote/presses')
  @HttpCode(204)
  async remotePress(@Req() request: Request, @Body() body: PressRequest): Promise<void> {
    return this.stage.press(await this.classOf(tokenOf(request)), body);
  }

  private async classOf(token: string): Promise<OneClass> {
    const one = await this.links.classOf(token);
    if (!one) throw new ProblemException(404, 'This link is good no more: it ends with its class.');
    return one;
  }

  private async tell(one: OneClass, isGood: () => Promise<boolean>, request: Request, response: Response): Promise<void> {
    const open = this.streams.get(one.classId) ?? 0;
    if (open >= mostStreams) throw new ProblemException(429, 'So many devices stand beside this class already.');
    this.streams.set(one.classId, open + 1);
    const leave = (): void => {
      const left = (this.streams.get(one.classId) ?? 1) - 1;
      if (left > 0) this.streams.set(one.classId, left);
      else this.streams.delete(one.classId);
    };
    const first = await this.stage.view(one).catch((error: unknown) => {
      leave();
      throw error;
    });
    const stop = this.stage.onShown(one.classId, () => void tell());
    const stream = openEventStream(request, response, {
      onPulse: () => void tell(),
      onEnd: () => {
        stop();
        leave();
      },
    });
    stream.write(`retry: 1000\n${messageOf(first)}`);
    let told = JSON.stringify(first);
    const tell = async (): Promise<void> => {
      // where the database is away, the next pulse says what is
      const isStill = await isGood().catch(() => true);
      if (!isStill) {
        stream.write('event: over\ndata: {}\n\n');
        stream.end();
        return;
      }
      const view = await this.stage.view(one).catch(() => null);
      const text = JSON.stringify(view);
      if (!view || text === told) return;
      told = text;
      stream.write(messageOf(view));
    };
  }
}

const messageOf = (view: StageView): string => `data: ${JSON.stringify(view)}\n\n`;

/** The link that a browser follows; text that is no link where it follows none. */
function tokenOf(request: Request): string {
  return new RegExp(`(?:^|;\\s*)${cookieName}=([\\w-]{43})(?:;|$)`).exec(request.headers.cookie ?? '')?.[1] ?? '';
}
