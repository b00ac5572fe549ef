import { createServer, type IncomingMessage, type RequestListener, type Server } from 'node:http';
import { isIPv4 } from 'node:net';
import { networkInterfaces } from 'node:os';
import { Injectable, type OnApplicationBootstrap, type OnApplicationShutdown } from '@nestjs/common';
import { HttpAdapterHost } from '@nestjs/core';
import { InjectDataSource } from '@nestjs/typeorm';
import type { Request } from 'express';
import { DataSource } from 'typeorm';
import { fromNetwork } from '../http/own-hosts.js';
import { rows } from '../database/rows.js';

const everyMilliseconds = 60_000;

/** What a phone in the same network may ask for: the page of the remote, what it is made of, and its part of the API. */
const allowed = /^\/(?:remote|assets\/[\w./-]+|favicon\.\w+|manifest\.webmanifest|api\/remote(?:\/events|\/presses)?)(?:\?|$)/;

/**
 * Leiter answers its own machine alone. While a link of a remote is good, it opens a door to the network the machine is in, which leads
 * to the remote and to nothing else. Behind a public address there is no need of one.
 */
@Injectable()
export class LanDoorService implements OnApplicationBootstrap, OnApplicationShutdown {
  private servers: readonly Server[] = [];
  private addresses: readonly string[] = [];
  private timer: NodeJS.Timeout | undefined;

  constructor(
    private readonly adapter: HttpAdapterHost,
    @InjectDataSource() private readonly source: DataSource,
  ) {}

  /** A server that is back after a crash opens again what was open: phones of a class go on. */
  async onApplicationBootstrap(): Promise<void> {
    this.timer = setInterval(() => void this.closeWhereUnused().catch(() => undefined), everyMilliseconds);
    this.timer.unref();
    if (process.env['LEITER_PUBLIC_URL'] || !(await this.isWanted().catch(() => false))) return;
    await this.openAt(Number(process.env['PORT'] ?? '4600'));
  }

  onApplicationShutdown(): void {
    clearInterval(this.timer);
    this.close();
  }

  /** @returns addresses for a phone in the same network; none where the request came from elsewhere than this machine */
  async open(request: Request): Promise<readonly string[]> {
    const host = request.headers.host ?? '';
    if (!/^(?:127\.0\.0\.1|localhost|\[::1\])(?::\d+)?$/.test(host)) return [];
    return this.openAt(request.socket.localPort ?? 0);
  }

  private async openAt(port: number): Promise<readonly string[]> {
    if (this.servers.length > 0) return this.addresses;
    const own = Object.values(networkInterfaces()).flatMap((entries) => entries ?? []);
    const hosts = own.filter(({ family, internal }) => family === 'IPv4' && !internal).map(({ address }) => address);
    const listener = this.adapter.httpAdapter.getInstance<RequestListener>(); // an Express application is one
    const opened = await Promise.all(hosts.map((address) => openDoor(listener, address, port)));
    this.servers = opened.flatMap((one) => (one ? [one.server] : []));
    this.addresses = opened.flatMap((one) => (one ? [one.url] : []));
    return this.addresses;
  }

  private async closeWhereUnused(): Promise<void> {
    if (this.servers.length === 0) return;
    if (!(await this.isWanted())) this.close();
  }

  private async isWanted(): Promise<boolean> {
    const good = await rows(this.source, `SELECT 1 FROM remote_link WHERE made_at > now() - interval '6 hours' LIMIT 1`, []);
    return good.length > 0;
  }

  private close(): void {
    for (const server of this.servers) {
      server.close();
      server.closeAllConnections();
    }
    this.servers = [];
    this.addresses = [];
  }
}

/** A door for remotes on one address. @param port 0 for any @returns null where the port is taken there */
export async function openDoor(
  listener: RequestListener,
  address: string,
  port: number,
): Promise<{ readonly server: Server; readonly url: string } | null> {
  const server = createServer((request, response) => {
    if (!isForRemote(request)) {
      response.writeHead(404, { 'Content-Type': 'text/plain; charset=utf-8' }).end('There is nothing here but the remote of a class.\n');
      return;
    }
    fromNetwork.add(request);
    listener(request, response);
  });
  return new Promise((resolve) => {
    server.once('error', () => {
      resolve(null);
    });
    server.listen(port, address, () => {
      const taken = server.address();
      resolve({ server, url: `http://${address}:${String(taken && typeof taken === 'object' ? taken.port : port)}` });
    });
  });
}

/** A name of somebody else's that leads here is refused: only the address itself is answered. */
function isForRemote({ url = '', headers }: IncomingMessage): boolean {
  return allowed.test(url) && !url.includes('..') && isIPv4((headers.host ?? '').replace(/:\d+$/, ''));
}
