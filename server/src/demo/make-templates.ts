import { makeApp } from '../app.js';
import { DemoClubService } from './demo-club.service.js';

/** Fills two databases that tests copy: one with the tables alone, one with the demo club. */
const { LEITER_EMPTY_URL: emptyUrl = '', LEITER_DEMO_URL: demoUrl = '' } = process.env;
await (await makeApp({ databaseUrl: emptyUrl, logLevels: ['error', 'fatal'] })).close();
const app = await makeApp({ databaseUrl: demoUrl, logLevels: ['error', 'fatal'] });
await app.get(DemoClubService).load();
await app.close();
