// @vitest-environment jsdom
import { compileMessage } from '@lingui/message-utils/compileMessage';
import { plural, t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { i18n } from './texts';

afterEach(() => {
  i18n.loadAndActivate({ locale: 'en', messages: {} });
  cleanup();
});

const classes = (count: number): string => plural(count, { one: '# class', other: '# classes' });

describe('a text', () => {
  it('says one and many as English does, with words and numbers put in', () => {
    const name = 'Łucja {of} # <b>';
    expect([classes(1), classes(0), classes(21)]).toEqual(['1 class', '0 classes', '21 classes']);
    expect(t`${name} missed ${classes(2)}; it isn’t much`).toBe('Łucja {of} # <b> missed 2 classes; it isn’t much');
  });

  it('has parts of the page in it, and a number in its right form', () => {
    const stops = 1;
    render(
      <p>
        <Trans>
          <strong>
            <Plural value={stops} one="# stop" other="# stops" />
          </strong>{' '}
          in <a href="/plan">the plan</a>
        </Trans>
      </p>,
    );
    expect(screen.getByText(/in/, { selector: 'p' }).textContent).toBe('1 stop in the plan');
    expect(screen.getByRole('link', { name: 'the plan' }).getAttribute('href')).toBe('/plan');
  });

  it('follows the rules of a language that has more than two forms', () => {
    const message = '{count, plural, one {# klasa} few {# klasy} many {# klas} other {# klasy}}';
    const { id } = { id: 'of-a-test' };
    i18n.loadAndActivate({ locale: 'pl', messages: { [id]: compileMessage(message) } });
    expect([1, 3, 5, 22].map((count) => i18n._(id, { count }))).toEqual(['1 klasa', '3 klasy', '5 klas', '22 klasy']);
  });
});
