import { connect, createServer, type Server, type Socket } from 'node:net';
import type { NestExpressApplication } from '@nestjs/platform-express';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { makeApp } from '../src/app.js';
import { testApp, type Agent, type TestApp } from './test-app.js';
import { demoPassword } from '../src/demo/demo-people.js';

/** A line to the database that can be cut and mended. */
class Line {
  private readonly sockets = new Set<Socket>();
  private server: Server | null = null;

  constructor(
    private readonly target: URL,
    private port = 0,
  ) {}

  async mend(): Promise<void> {
    const server = createServer((socket) => {
      const other = connect({ host: this.target.hostname, port: Number(this.target.port) });
      for (const [from, to] of [
        [socket, other],
        [other, socket],
      ] as const) {
        this.sockets.add(from);
        from.on('error', () => undefined);
        from.on('close', () => {
          this.sockets.delete(from);
          to.destroy();
        });
        from.pipe(to);
      }
    });
    await new Promise<void>((resolve) => server.listen(this.port, '127.0.0.1', resolve));
    const address = server.address();
    if (address && typeof address === 'object') this.port = address.port;
    this.server = server;
  }

  async cut(): Promise<void> {
    for (const socket of this.sockets) socket.destroy();
    await new Promise((resolve) => this.server?.close(resolve));
  }

  get url(): string {
    const url = new URL(this.target);
    url.hostname = '127.0.0.1';
    url.port = String(this.port);
    return url.href;
  }
}

let club: TestApp;
let line: Line;
let app: NestExpressApplication;
let agent: Agent;
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  line = new Line(new URL(club.databaseUrl));
  await line.mend();
  app = await makeApp({ databaseUrl: line.url, sessionSecret: 'test', logLevels: [] });
  await app.listen(0, '127.0.0.1');
  agent = request.agent(app.getHttpServer());
  await agent.post('/api/session').send({ email: 'owner@sail-loft.example', password: demoPassword }).expect(200);
});
afterAll(async () => {
  await app.close();
  await line.cut();
  await club.close();
});

describe('while the database is away', () => {
  it('every answer says so as a problem, and all is well again by itself once it is back', async () => {
    const { body: children } = await agent.get('/api/children').expect(200);
    await line.cut();
    for (const path of ['/api/children', '/api/today', '/api/session', '/api/health']) {
      const answer = await agent.get(path);
      expect(answer.status, path).toBe(503);
      expect(answer.headers['content-type'], path).toMatch(/problem\+json/);
    }
    const write = await agent.patch(`/api/children/${children[0].id as string}`).send({ leadSide: 'left' });
    expect(write.status).toBe(503);
    await line.mend();
    await agent.get('/api/health').expect(200);
    const back = await agent.get('/api/children').expect(200);
    expect(back.body).toEqual(children);
  }, 60_000);

  it('nobody is signed out by it', async () => {
    await line.cut();
    await agent.get('/api/today').expect(503);
    await line.mend();
    await agent.get('/api/session').expect(200);
  }, 60_000);
});
