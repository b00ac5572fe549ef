import { makeApp } from './app.js';
import { FoundingService } from './club/founding.service.js';
import { alone } from './database/locks.js';
import { DemoClubService } from './demo/demo-club.service.js';

/** Starts the server: migrations, then the demo club where the database is empty and one is wanted, then listening. */
async function main(): Promise<void> {
  const databaseUrl = process.env['LEITER_DATABASE_URL'];
  if (!databaseUrl) throw new Error('LEITER_DATABASE_URL is not set: start Leiter with npm start.');
  const port = Number(process.env['PORT'] ?? '4600');
  const app = await makeApp({
    databaseUrl,
    sessionSecret: process.env['LEITER_SESSION_SECRET'],
    publicUrl: process.env['LEITER_PUBLIC_URL'],
    logLevels: ['warn', 'error', 'fatal'],
  });
  // of several processes that start at once, one fills an empty database
  await alone(databaseUrl, 'demo', async () => {
    await app.get(FoundingService).refreshLibraries();
    if (process.env['LEITER_DEMO'] !== 'no') await app.get(DemoClubService).load();
  });
  await app.listen(port, '127.0.0.1');
  process.send?.({ ready: true });

  const stop = (): void => {
    void app.close().then(() => process.exit(0));
  };
  process.once('SIGTERM', stop);
  process.once('SIGINT', stop);
  // the start script holds the other end: when it is killed, the server does not stay behind
  if (process.send) process.once('disconnect', stop);
}

/** A process that stands by has loaded everything and begins when it is told to: then the server is back in a moment. */
async function told(): Promise<void> {
  if (process.env['LEITER_STANDBY'] !== 'yes') return;
  const leave = (): void => process.exit(0);
  process.once('disconnect', leave);
  process.once('SIGTERM', leave);
  await new Promise<void>((resolve) => {
    process.once('message', () => {
      resolve();
    });
  });
  process.off('disconnect', leave);
  process.off('SIGTERM', leave);
}

try {
  await told();
  await main();
} catch (error) {
  console.error(error instanceof Error ? error.message : String(error));
  process.exit(1);
}
