import { execFile } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { describe, expect, it } from 'vitest';

const web = import.meta.dirname;
const texts = (path: string): readonly string[] => readFileSync(path, 'utf8').match(/^msgid .*(\n".*)*/gm) ?? [];

describe('what families read', () => {
  it('stands in German and in French, whole, with the same values put in', async () => {
    const folder = mkdtempSync(join(web, 'node_modules/.texts-'));
    try {
      cpSync(join(web, 'src/locales/family'), folder, { recursive: true });
      await promisify(execFile)(join(web, '../node_modules/.bin/lingui'), ['extract', '--clean', '--config', 'lingui.family.config.ts'], {
        cwd: web,
        env: { ...process.env, LEITER_TEXTS: folder },
      });
      for (const language of ['en', 'de', 'fr'])
        expect(readFileSync(join(folder, `${language}.po`), 'utf8')).toBe(
          readFileSync(join(web, `src/locales/family/${language}.po`), 'utf8'),
        );
    } finally {
      rmSync(folder, { recursive: true });
    }
    for (const language of ['de', 'fr']) {
      const entries = readFileSync(join(web, `src/locales/family/${language}.po`), 'utf8')
        .split('\n\n')
        .slice(1)
        .map(entryOf);
      expect(entries.length).toBeGreaterThan(200);
      for (const { text, translation } of entries) {
        expect(translation, `${language}: ${text}`).not.toBe('');
        expect(valuesIn(translation), `${language}: ${text}`).toEqual(valuesIn(text));
      }
    }
  }, 60_000);
});

/** A text of a catalogue and what it became. */
function entryOf(block: string): { readonly text: string; readonly translation: string } {
  const of = (name: string): string => (new RegExp(`^${name} ((?:".*"\\n?)+)`, 'm').exec(block)?.[1] ?? '').replaceAll(/"\n?"?|^"/g, '');
  return { text: of('msgid'), translation: of('msgstr') };
}

/** What is put into a text: values and tags, in whatever order. */
const valuesIn = (text: string): readonly string[] => [...new Set(text.match(/\{\w+(?=[,}])|<\/?\d+>/g) ?? [])].sort();

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
