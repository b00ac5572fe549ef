import { ClipQuery, type ClipResponse } from '@leiter/contract';
import { Controller, Delete, Get, Headers, HttpCode, Ip, Param, ParseUUIDPipe, Put, Query, Req, Res } from '@nestjs/common';
import type { Request, Response } from 'express';
import { HomeLinksService, tokenIn } from '../home/home-links.service.js';
import { notFound, ProblemException } from '../http/problem.js';
import { TakesFile } from '../http/takes-file.js';
import type { Asker } from '../people/asker.js';
import { AskedBy, ForEverybody, ForRoles, ForVisitors } from '../people/session.guard.js';
import { ClipsService } from './clips.service.js';

/** Clips: sent by a family with its link, looked at by the staff of the child. */
@Controller()
export class ClipsController {
  constructor(
    private readonly clips: ClipsService,
    private readonly links: HomeLinksService,
  ) {}

  /** The body is the file itself. */
  @ForVisitors()
  @TakesFile()
  @Put('home/clips/:id')
  @HttpCode(204)
  async take(
    @Headers('authorization') authorization: string | undefined,
    @Ip() address: string,
    @Param('id', ParseUUIDPipe) id: string,
    @Query() query: ClipQuery,
    @Req() request: Request,
  ): Promise<void> {
    const child = await this.links.childOf(tokenIn(authorization), address);
    const length = request.headers['content-length'];
    await this.clips.take(child, id, query, request, length === undefined ? null : Number(length));
  }

  @ForVisitors()
  @Delete('home/clips/:id')
  @HttpCode(204)
  async takeBack(
    @Headers('authorization') authorization: string | undefined,
    @Ip() address: string,
    @Param('id', ParseUUIDPipe) id: string,
  ): Promise<void> {
    await this.clips.takeBack(await this.links.childOf(tokenIn(authorization), address), id);
  }

  /** Clips of all children one is of the staff of, those that nobody looked at first. */
  @ForEverybody()
  @Get('clips')
  list(@AskedBy() asker: Asker): Promise<readonly ClipResponse[]> {
    return this.clips.list(asker, null);
  }

  @ForEverybody()
  @Get('children/:id/clips')
  ofChild(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<readonly ClipResponse[]> {
    return this.clips.list(asker, id);
  }

  /** The file, whole or the part that is asked for (RFC 9110, range requests). */
  @ForEverybody()
  @Get('clips/:id/file')
  async file(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string, @Res() response: Response): Promise<void> {
    const { path, mediaType } = await this.clips.file(asker, id);
    await new Promise<void>((resolve, reject) => {
      response.sendFile(
        path,
        {
          dotfiles: 'allow',
          cacheControl: false,
          lastModified: false,
          headers: { 'Content-Type': mediaType, 'Content-Disposition': 'inline', 'Cache-Control': 'private, no-store' },
        },
        (error) => {
          // the one who watches went away, or the file is gone
          if (!error || response.headersSent) resolve();
          else if ('status' in error && error.status === 416) reject(new ProblemException(416, 'The clip has no such part.'));
          else reject(notFound('clip'));
        },
      );
    });
  }

  @ForRoles('owner', 'instructor')
  @Delete('clips/:id')
  @HttpCode(204)
  async remove(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<void> {
    await this.clips.remove(asker, id);
  }
}
