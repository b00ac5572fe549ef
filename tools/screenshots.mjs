// npm run screenshots: makes every picture in docs/screenshots anew from the demo club, in a Leiter of its own.
import { rmSync } from 'node:fs';
import { requireChromium, requireForPictures, requireNode, requirePackages, requirePostgres, requireVoice } from './requirements.mjs';
import { bin, root, runBeside } from './run.mjs';
import { giveUp, say } from './say.mjs';

requireNode();
requirePackages();
requirePostgres();
requireChromium();
requireVoice({ isNeeded: true });
requireForPictures();
rmSync(`${root}/docs/screenshots`, { recursive: true, force: true });
say('Making the pictures …');
const { code, output } = await runBeside(bin('playwright'), ['test', '--config', 'e2e/screenshots.config.ts']);
if (code !== 0) giveUp(output);
say('docs/screenshots is new.');
