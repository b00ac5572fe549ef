import { i18n as lingui, setupI18n, type I18n } from '@lingui/core';
import { TransNoContext } from '@lingui/react/server';
import type { ComponentProps } from 'react';

/** Texts by id, each in the form that the build gives it (`texts-plugin.ts`): plain words, or parts to be put together. */
export type Texts = I18n['messages'];

// nothing is read here: the build did it
const asBuilt = (text: string) => [text];

lingui.setMessagesCompiler(asBuilt);
lingui.loadAndActivate({ locale: 'en', messages: {} });

/**
 * The texts of the interface in the language it is shown in. What marks a text in the source asks here, so that a language is chosen
 * before the first text is read, whichever file that stands in.
 */
export const i18n = lingui;

/** Texts of another language than that of the page. @param messages by id; one that is missing is told in English */
export function textsIn(locale: string, messages: Texts): I18n {
  const texts = setupI18n();
  texts.setMessagesCompiler(asBuilt);
  texts.loadAndActivate({ locale, messages: { ...messages } });
  return texts;
}

/** Shows this page in a language; before anything is drawn. */
export function speak(locale: string, messages: Texts): void {
  lingui.loadAndActivate({ locale, messages: { ...messages } });
  document.documentElement.lang = locale;
}

type Marked = Pick<ComponentProps<typeof TransNoContext>, 'id' | 'message' | 'values' | 'components'>;

/** A text with parts of a page in it; what `Trans` in the source becomes. */
export function Text(props: Marked) {
  return <TransNoContext {...props} lingui={{ i18n }} />;
}
