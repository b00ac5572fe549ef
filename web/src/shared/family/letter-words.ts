import { msg, plural } from '@lingui/core/macro';
import type { I18n } from '@lingui/core';
import type { LetterFacts, LetterKind, LettersToWriteResponse } from '@leiter/contract';
import { doseWords } from './dose-words';
import { tagOf } from './languages';
import { layOutWords } from './lay-out-words';

export interface LetterWords {
  readonly subject: string;
  readonly body: string;
}

type About = Pick<LettersToWriteResponse, 'clubName' | 'title' | 'day' | 'lengthMinutes' | 'focus' | 'done'>;

/** A letter to one family, made from the class or grading day, in the language of `i18n`: a proposal that is read before it is sent. */
export function letterWords(i18n: I18n, kind: LetterKind, about: About, family: LetterFacts): LetterWords {
  const name = family.givenName;
  const { clubName, title, lengthMinutes } = about;
  const day = new Intl.DateTimeFormat(tagOf(i18n.locale), { weekday: 'long', day: 'numeric', month: 'long', timeZone: 'UTC' }).format(
    new Date(`${about.day}T00:00:00Z`),
  );
  const list = (names: readonly string[]): string => new Intl.ListFormat(tagOf(i18n.locale)).format(names);
  const lines = (some: readonly string[]): string => some.map((line) => `– ${line}`).join('\n');
  const hello = i18n._(msg`Hello,`);
  const end = i18n._(msg`Kind regards\n${clubName}`);
  const written = (subject: string, ...paragraphs: readonly string[]): LetterWords => ({
    subject,
    body: [hello, ...paragraphs, end].filter((part) => part !== '').join('\n\n'),
  });
  const focus = about.focus.length > 0 ? list(about.focus) : null;
  switch (kind) {
    case 'before':
      return written(
        i18n._(msg`${title} on ${day}: what to lay out for ${name}`),
        i18n._(
          msg`${name} has ${title} on ${day} at ${family.startsAt}, for ${plural(lengthMinutes, { one: '# minute', other: '# minutes' })}.`,
        ),
        focus === null ? '' : i18n._(msg`It is about: ${focus}.`),
        family.layOut ? `${i18n._(msg`Please prepare:`)}\n${lines(layOutWords(i18n, family.layOut))}` : '',
        i18n._(
          msg`Bare feet or gym shoes, hair tied back, no jewellery, the floor dry and free. Stop when it hurts. If ${name} cannot come, tell it on ${name}’s page or answer this letter.`,
        ),
      );
    case 'after':
      return written(
        i18n._(msg`${title}: what ${name} practises now`),
        about.done.length > 0
          ? i18n._(msg`In ${title} on ${day} we did: ${list(about.done)}.`)
          : i18n._(msg`${name} was in ${title} on ${day}.`),
        ...taskWords(i18n, family),
      );
    case 'missed':
      return written(
        i18n._(msg`${title}: ${name} was missed`),
        focus === null
          ? i18n._(msg`${name} was not in ${title} on ${day}. We hope all is well.`)
          : i18n._(msg`${name} was not in ${title} on ${day}. We hope all is well. What mattered was: ${focus}; we come back to it.`),
        ...taskWords(i18n, family),
      );
    case 'ready': {
      const grade = family.gradeName ?? '';
      return written(
        i18n._(msg`${name} is ready for ${grade}`),
        i18n._(
          msg`${name} has shown, or can show on the day, what the grade ${grade} asks. The next grading is on ${day} and begins at ${family.startsAt}.`,
        ),
        i18n._(msg`May ${name} come? Please answer this letter; we enter ${name} once we know. Nobody has to: there will be another day.`),
      );
    }
    case 'grading': {
      const grade = family.gradeName ?? '';
      return written(
        i18n._(msg`${name} is entered for ${grade} on ${day}`),
        i18n._(
          msg`${name} may show the grade ${grade} on ${day}. It begins at ${family.startsAt} with the warm-up; please be there ten minutes before.`,
        ),
        i18n._(msg`Nothing new is asked: what ${name} has practised is enough. What is not there on that day can be shown again later.`),
      );
    }
    case 'link':
    case 'own':
      return written(title);
  }
}

/** A letter with the link of the family’s page. */
export function linkLetter(i18n: I18n, name: string, link: string): LetterWords {
  return {
    subject: i18n._(msg`${name}’s page`),
    body: i18n._(
      msg`Hello,\n\nthis is ${name}’s page: what comes next, what to lay out, the home task with a counter that speaks, and how far ${name} is. It is for your family alone – please do not hand it on.\n\n${link}\n\nIf a class cannot be, or something at home changed, tell it there.`,
    ),
  };
}

function taskWords(i18n: I18n, { task, givenName: name }: LetterFacts): readonly string[] {
  if (!task) return [];
  const { minutes, note, items } = task;
  return [
    note,
    items.length > 0
      ? `${i18n._(msg`At home, once a day, about ${plural(minutes, { one: '# minute', other: '# minutes' })}:`)}\n${items
          .map(({ name: what, dose, sides, isWithAdult }) => {
            const how = doseWords(i18n, dose, sides);
            return isWithAdult ? i18n._(msg`– ${what}: ${how} (with an adult beside)`) : `– ${what}: ${how}`;
          })
          .join('\n')}`
      : '',
    items.length > 0 ? i18n._(msg`Stop when it hurts. How it is done stands, with moving figures and a counter, on ${name}’s page.`) : '',
  ];
}
