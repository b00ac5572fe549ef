import { execFile } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { describe, expect, it } from 'vitest';

const web = import.meta.dirname;
const texts = (path: string): readonly string[] => readFileSync(path, 'utf8').match(/^msgid .*(\n".*)*/gm) ?? [];

describe('the catalogue', () => {
  it('has every text of the interface and no other: npm run texts -w web writes it', async () => {
    const folder = mkdtempSync(join(web, 'node_modules/.texts-'));
    try {
      cpSync(join(web, 'src/locales'), folder, { recursive: true });
      await promisify(execFile)(join(web, '../node_modules/.bin/lingui'), ['extract', '--clean', '--overwrite'], {
        cwd: web,
        env: { ...process.env, LEITER_TEXTS: folder },
      });
      const standing = texts(join(web, 'src/locales/en.po'));
      expect(standing.length).toBeGreaterThan(1000);
      expect(texts(join(folder, 'en.po'))).toEqual(standing);
    } finally {
      rmSync(folder, { recursive: true });
    }
  }, 60_000);
});
