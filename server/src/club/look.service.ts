import type { ClubLookRequest, ClubLookResponse } from '@leiter/contract';
import type { Colour } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import sharp from 'sharp';
import { DataSource, type EntityManager } from 'typeorm';
import { rows } from '../database/rows.js';
import { ProblemException } from '../http/problem.js';

/** A crest on its longer side, in pixels: sharp at four centimetres on paper. */
const crestSize = 1024;
const mostPixels = 40_000_000;
const drawnWithinSeconds = 10;

const noPicture = (): ProblemException =>
  new ProblemException(422, 'This is no picture that can be used. Choose an SVG or a PNG file; at most 4 MB.');

/** Crest and colours of a club, for what it prints and signs. */
export interface ClubLook {
  readonly colour: Colour | null;
  readonly secondColour: Colour | null;
  readonly crest: Buffer | null;
}

@Injectable()
export class LookService {
  constructor(@InjectDataSource() private readonly source: DataSource) {}

  async about(clubId: string): Promise<ClubLookResponse> {
    const [club] = await rows<{ colour: Colour | null; second_colour: Colour | null; given_at: Date | null }>(
      this.source,
      'SELECT b.colour, b.second_colour, c.given_at FROM club b LEFT JOIN club_crest c ON c.club_id = b.id WHERE b.id = $1',
      [clubId],
    );
    const at = club?.given_at?.getTime();
    return {
      colour: club?.colour ?? null,
      secondColour: club?.second_colour ?? null,
      crestPath: at === undefined ? null : `/api/issuers/${clubId}/crest.png?at=${String(at)}`,
    };
  }

  async look(clubId: string): Promise<ClubLook> {
    const [{ colour, secondColour }, crest] = await Promise.all([this.about(clubId), this.crest(clubId)]);
    return { colour, secondColour, crest };
  }

  async crest(clubId: string): Promise<Buffer | null> {
    const [found] = await rows<{ png: Buffer }>(this.source, 'SELECT png FROM club_crest WHERE club_id = $1', [clubId]);
    return found?.png ?? null;
  }

  async change(clubId: string, { colour, secondColour }: ClubLookRequest, at: DataSource | EntityManager = this.source): Promise<void> {
    await at.query('UPDATE club SET colour = $2, second_colour = $3 WHERE id = $1', [clubId, colour, secondColour]);
  }

  /**
   * Takes a crest. It is drawn anew as a PNG, so that nothing but its pixels is kept: no script, no link, no place of a photograph.
   * @param file an SVG or PNG; what it is, is read from its content
   * @throws 422 for anything else
   */
  async giveCrest(clubId: string, file: Buffer, at: DataSource | EntityManager = this.source): Promise<void> {
    const png = await drawnAnew(file);
    await at.query(
      `INSERT INTO club_crest (club_id, png) VALUES ($1, $2) ON CONFLICT (club_id) DO UPDATE SET png = excluded.png, given_at = now()`,
      [clubId, png],
    );
  }

  async takeCrestAway(clubId: string): Promise<void> {
    await this.source.query('DELETE FROM club_crest WHERE club_id = $1', [clubId]);
  }
}

async function drawnAnew(file: Buffer): Promise<Buffer> {
  try {
    const { format, width, height } = await sharp(file, { limitInputPixels: mostPixels }).metadata();
    if (format !== 'svg' && format !== 'png') throw noPicture();
    // a drawing is set large enough to stay sharp, whatever size it says
    const density = format === 'svg' ? Math.min(2400, Math.max(1, (72 * crestSize) / Math.max(width, height, 1))) : 72;
    return await sharp(file, { limitInputPixels: mostPixels, density })
      .timeout({ seconds: drawnWithinSeconds })
      .resize(crestSize, crestSize, { fit: 'inside', withoutEnlargement: format === 'png' })
      .png({ compressionLevel: 9 })
      .toBuffer();
  } catch {
    throw noPicture();
  }
}
