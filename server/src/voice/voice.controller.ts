import { ClipsRequest, type ClipsResponse } from '@leiter/contract';
import { Body, Controller, Get, HttpCode, Param, Post, Res } from '@nestjs/common';
import type { Response } from 'express';
import type { Asker } from '../people/asker.js';
import { AskedBy, ForEverybody } from '../people/session.guard.js';
import { ClipsService } from './clips.service.js';

@Controller('voice')
export class VoiceController {
  constructor(private readonly clips: ClipsService) {}

  /** Has the clips of a class spoken that are not there yet, and says where the sound of each is. */
  @ForEverybody()
  @Post('clips')
  @HttpCode(200)
  ready(@AskedBy() asker: Asker, @Body() body: ClipsRequest): Promise<ClipsResponse> {
    return this.clips.ready(asker.id, body.clips);
  }

  /** The sound of a clip; what has a key never changes. */
  @ForEverybody()
  @Get('clips/:key')
  async sound(@Param('key') key: string, @Res() response: Response): Promise<void> {
    const sound = await this.clips.sound(key);
    response.set({ 'Content-Type': 'audio/wav', 'Cache-Control': 'private, max-age=31536000, immutable' }).end(sound);
  }
}
