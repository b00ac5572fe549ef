import { i18n as lingui, setupI18n, type I18n } from '@lingui/core';
import { TransNoContext } from '@lingui/react/server';
import { compileMessage } from '@lingui/message-utils/compileMessage';
import type { ComponentProps } from 'react';

type Compiled = ReturnType<typeof compileMessage>;
const compiled = new Map<string, Compiled>();

function compile(message: string): Compiled {
  const known = compiled.get(message);
  if (known) return known;
  const written = compileMessage(message);
  compiled.set(message, written);
  return written;
}

lingui.setMessagesCompiler(compile);
lingui.loadAndActivate({ locale: 'en', messages: {} });

/**
 * The texts of the interface in the language it is shown in. What marks a text in the source asks here, so that a language is chosen
 * before the first text is read, whichever file that stands in.
 */
export const i18n = lingui;

/** Texts of another language than that of the page. @param messages by id; one that is missing is told in English */
export function textsIn(locale: string, messages: Readonly<Record<string, string>>): I18n {
  const texts = setupI18n();
  texts.setMessagesCompiler(compile);
  texts.loadAndActivate({ locale, messages: { ...messages } });
  return texts;
}

/** Shows this page in a language; before anything is drawn. */
export function speak(locale: string, messages: Readonly<Record<string, string>>): void {
  lingui.loadAndActivate({ locale, messages: { ...messages } });
  document.documentElement.lang = locale;
}

type Marked = Pick<ComponentProps<typeof TransNoContext>, 'id' | 'message' | 'values' | 'components'>;

/** A text with parts of a page in it; what `Trans` in the source becomes. */
export function Text(props: Marked) {
  return <TransNoContext {...props} lingui={{ i18n }} />;
}
