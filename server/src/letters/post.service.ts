import { Injectable, Logger, type OnApplicationBootstrap, type OnApplicationShutdown } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { createTransport, type Transporter } from 'nodemailer';
import { DataSource } from 'typeorm';
import { rows } from '../database/rows.js';

interface Due {
  readonly id: string;
  readonly to_addresses: readonly string[];
  readonly subject: string;
  readonly body: string;
  readonly language: string;
  readonly tries: number;
  readonly is_old: boolean;
  readonly club_name: string;
  readonly reply_to: string | null;
  readonly writer: string | null;
}

/** SQL: the text of a letter without the secret of a family's link, which is kept nowhere else as it is. */
export const withoutLinks = `regexp_replace(body, '#[A-Za-z0-9_-]{43}', '#…', 'g')`;

const everyMilliseconds = 30_000;
const atOnce = 20;
/** A letter is tried again for a day. */
const dayMinutes = 24 * 60;
/** Longer than a mail server is waited for. */
const sendingMinutes = 10;

/**
 * Hands letters to the mail server that is set (`LEITER_SMTP_URL`); without one they are caught and shown in the mailbox. A mail server
 * that is away is tried again, later each time; of several processes one takes each letter. A letter of which it is not known whether
 * it went out is never sent a second time by itself.
 */
@Injectable()
export class PostService implements OnApplicationBootstrap, OnApplicationShutdown {
  private readonly logger = new Logger('post');
  private readonly transport: Transporter | null;
  private readonly from: string;
  private timer: NodeJS.Timeout | undefined;
  private running: Promise<void> | null = null;

  constructor(@InjectDataSource() private readonly source: DataSource) {
    const url = process.env['LEITER_SMTP_URL'] ?? '';
    this.transport =
      url === '' ? null : createTransport(url, { connectionTimeout: 20_000, greetingTimeout: 20_000, socketTimeout: 60_000 } as object);
    this.from = process.env['LEITER_MAIL_FROM'] ?? 'leiter@localhost';
  }

  /** False where letters are caught. */
  get isSent(): boolean {
    return this.transport !== null;
  }

  onApplicationBootstrap(): void {
    if (!this.transport) return;
    this.timer = setInterval(() => {
      this.sendSoon();
    }, everyMilliseconds);
    this.timer.unref();
  }

  async onApplicationShutdown(): Promise<void> {
    clearInterval(this.timer);
    await this.running;
    this.transport?.close();
  }

  /** Begins to send what is due; nobody waits for it. */
  sendSoon(): void {
    this.deliver().catch(() => {
      this.logger.warn('Letters could not be sent this time; they are tried again in half a minute.');
    });
  }

  /** Sends what is due. */
  async deliver(): Promise<void> {
    // what is under way in this process is waited for, then looked at anew
    while (this.running) await this.running;
    this.running = this.deliverAll().finally(() => {
      this.running = null;
    });
    await this.running;
  }

  private async deliverAll(): Promise<void> {
    const { transport } = this;
    if (!transport) return;
    await this.source.query(
      `UPDATE letter SET state = 'unsure', why_not = 'Leiter stopped while it was being sent: it may have arrived.', done_at = now()
       WHERE state = 'sending' AND next_try_at < now()`,
    );
    for (;;) {
      const due = await this.take();
      for (const letter of due) await this.send(transport, letter);
      if (due.length < atOnce) return;
    }
  }

  private take(): Promise<readonly Due[]> {
    return rows<Due>(
      this.source,
      `WITH taken AS (
         UPDATE letter SET state = 'sending', tries = tries + 1, next_try_at = now() + make_interval(mins => ${String(sendingMinutes)})
         WHERE id IN (SELECT id FROM letter WHERE state = 'waiting' AND next_try_at <= now() ORDER BY written_at LIMIT ${String(atOnce)} FOR UPDATE SKIP LOCKED)
         RETURNING *)
       SELECT t.id, t.to_addresses, t.subject, t.body, t.language, t.tries,
              t.written_at < now() - make_interval(mins => ${String(dayMinutes)}) AS is_old, b.name AS club_name, p.email AS reply_to, p.name AS writer
       FROM taken t JOIN club b ON b.id = t.club_id LEFT JOIN person p ON p.id = t.written_by ORDER BY t.written_at`,
      [],
    );
  }

  private async send(transport: Transporter, letter: Due): Promise<void> {
    try {
      await transport.sendMail({
        from: { name: letter.club_name, address: this.from },
        // a family reads who else of it was written to, and nobody else
        to: [...letter.to_addresses],
        ...(letter.reply_to === null ? {} : { replyTo: { name: letter.writer ?? letter.club_name, address: letter.reply_to } }),
        subject: letter.subject,
        text: letter.body,
        messageId: `<${letter.id}@${this.from.split('@')[1] ?? 'localhost'}>`,
        headers: { 'Content-Language': letter.language, 'Auto-Submitted': 'no' },
        disableFileAccess: true,
        disableUrlAccess: true,
      });
      await this.note(letter.id, 'sent', null);
    } catch (error) {
      // 5xx: the mail server will not take it, however often it is asked (RFC 5321, 4.2.1)
      const code = error instanceof Error && 'responseCode' in error ? Number(error.responseCode) : 0;
      if (code >= 500) await this.note(letter.id, 'failed', `The mail server refused it (${String(code)}).`);
      else if (letter.is_old) await this.note(letter.id, 'failed', 'The mail server was not reached for a day.');
      else
        await this.source.query(
          `UPDATE letter SET state = 'waiting', why_not = 'The mail server is not reached; it is tried again.', next_try_at = now() + make_interval(mins => $2) WHERE id = $1`,
          [letter.id, Math.min(60, 2 ** (letter.tries - 1))],
        );
    }
  }

  private async note(id: string, state: 'sent' | 'failed', whyNot: string | null): Promise<void> {
    await this.source.query(
      `UPDATE letter SET state = $2::text, why_not = $3, done_at = now(), body = CASE WHEN $2 = 'sent' THEN ${withoutLinks} ELSE body END WHERE id = $1`,
      [id, state, whyNot],
    );
  }
}
