import 'reflect-metadata';
import type { LogLevel } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import compression from 'compression';
import type { NextFunction, Request, Response } from 'express';
import helmet from 'helmet';
import { AppModule } from './app.module.js';
import { prepareSchema } from './database/schema.js';
import { NoticesService } from './database/notices.service.js';
import { readBody } from './http/body.js';
import { openApiOf } from './http/openapi.js';
import { keepPublicUrl, publicUrlOf, refuseForeign } from './http/own-hosts.js';
import { ProblemFilter } from './http/problem.filter.js';
import { nameRequest } from './http/request-id.js';
import { sessionHandling } from './http/session-store.js';
import { contractPipe } from './http/validation.js';
import { servePages } from './http/web-pages.js';
import { root } from './root.js';

export interface AppSettings {
  readonly databaseUrl: string;
  readonly sessionSecret?: string | undefined;
  /** Where Leiter is reached from outside, behind a proxy that ends TLS; left out on the machine itself. */
  readonly publicUrl?: string | undefined;
  readonly logLevels: readonly LogLevel[];
}

const webFolder = `${root}web/dist/`;

/** The whole server: API under /api, the built interface everywhere else. Not listening yet. */
export async function makeApp(settings: AppSettings): Promise<NestExpressApplication> {
  await prepareSchema(settings.databaseUrl);
  const app = await NestFactory.create<NestExpressApplication>(AppModule.on(settings.databaseUrl), {
    bodyParser: false,
    forceCloseConnections: true,
    logger: [...settings.logLevels],
  });
  const publicUrl = publicUrlOf(settings.publicUrl);
  const isSecure = publicUrl?.protocol === 'https:';
  keepPublicUrl(app, publicUrl);
  // only a proxy on this machine is believed about who is behind it
  if (publicUrl) app.set('trust proxy', 'loopback');
  const sessions = sessionHandling({
    databaseUrl: settings.databaseUrl,
    secret: settings.sessionSecret,
    isSecure,
    notices: app.get(NoticesService),
  });
  app.setGlobalPrefix('api');
  app.set('etag', false);
  app.use(
    nameRequest,
    helmet({
      contentSecurityPolicy: {
        directives: {
          // the music is stretched by WebAssembly; nothing else is evaluated
          'script-src': ["'self'", "'wasm-unsafe-eval'"],
          'worker-src': ["'self'", 'blob:'],
          'style-src': ["'self'", "'unsafe-inline'"],
          'font-src': ["'self'"],
          'img-src': ["'self'", 'data:'],
          // a clip is looked at on the phone before it is sent
          'media-src': ["'self'", 'blob:'],
          'upgrade-insecure-requests': isSecure ? [] : null,
        },
      },
      strictTransportSecurity: isSecure && { maxAge: 365 * 24 * 3600 },
    }),
    refuseForeign(publicUrl),
    // what is told as it happens is told at once
    compression({ filter: (request, response) => !request.path.endsWith('/events') && compression.filter(request, response) }),
  );
  app.use('/api', noStore, sessions.handler, readBody);
  app.useGlobalPipes(contractPipe());
  app.useGlobalFilters(new ProblemFilter());
  app.enableShutdownHooks([]);
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
  servePages(app, webFolder);
  await app.init();
}
