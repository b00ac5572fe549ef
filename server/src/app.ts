import 'reflect-metadata';
import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { LogLevel } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import express, { type NextFunction, type Request, type Response } from 'express';
import helmet from 'helmet';
import { AppModule } from './app.module.js';
import { openApiOf } from './http/openapi.js';
import { refuseNul } from './http/no-nul.middleware.js';
import { refuseOtherTypes } from './http/only-json.middleware.js';
import { ProblemFilter } from './http/problem.filter.js';
import { sessionHandling } from './http/session-store.js';
import { contractPipe } from './http/validation.js';

export interface AppSettings {
  readonly databaseUrl: string;
  readonly sessionSecret?: string | undefined;
  readonly logLevels: readonly LogLevel[];
}

const webFolder = fileURLToPath(new URL('../../web/dist/', import.meta.url));

/** The whole server: API under /api, the built interface everywhere else. Not listening yet. */
export async function makeApp(settings: AppSettings): Promise<NestExpressApplication> {
  const app = await NestFactory.create<NestExpressApplication>(AppModule.on(settings.databaseUrl), {
    bodyParser: false,
    forceCloseConnections: true,
    logger: [...settings.logLevels],
  });
  const sessions = sessionHandling(settings.databaseUrl, settings.sessionSecret);
  app.setGlobalPrefix('api');
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          'script-src': ["'self'"],
          'worker-src': ["'self'", 'blob:'],
          'style-src': ["'self'", "'unsafe-inline'"],
          'font-src': ["'self'"],
          'img-src': ["'self'", 'data:'],
          'upgrade-insecure-requests': null,
        },
      },
      strictTransportSecurity: false,
    }),
  );
  // a whole library is larger than anything else that is sent
  app.use('/api/library/import', refuseOtherTypes, express.json({ limit: '24mb' }));
  app.use('/api/syllabuses/import', refuseOtherTypes, express.json({ limit: '4mb' }));
  app.use('/api', refuseOtherTypes, express.json({ limit: '512kb' }), refuseNul, sessions.handler, noStore);
  app.useGlobalPipes(contractPipe());
  app.useGlobalFilters(new ProblemFilter());
  const server = app.getHttpServer();
  server.on('close', () => void sessions.close());
  await serveInterface(app);
  return app;
}

function noStore(_request: Request, response: Response, next: NextFunction): void {
  response.setHeader('Cache-Control', 'no-store');
  next();
}

async function serveInterface(app: NestExpressApplication): Promise<void> {
  const openApi = JSON.stringify(openApiOf(app));
  app.use('/api/openapi.json', (_request: Request, response: Response) => {
    response.type('application/json').send(openApi);
  });
  if (existsSync(webFolder)) {
    app.use('/assets', express.static(`${webFolder}assets`, { immutable: true, maxAge: '1y', fallthrough: false }));
    app.use(express.static(webFolder, { index: false }));
    app.use((request: Request, response: Response, next: NextFunction) => {
      const isPage = (request.method === 'GET' || request.method === 'HEAD') && !request.path.startsWith('/api');
      if (isPage) response.sendFile(`${webFolder}index.html`);
      else next();
    });
  }
  await app.init();
}
