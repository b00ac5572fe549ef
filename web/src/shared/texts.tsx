import { i18n as lingui } from '@lingui/core';
import { TransNoContext } from '@lingui/react/server';
import { compileMessage } from '@lingui/message-utils/compileMessage';
import type { ComponentProps } from 'react';

type Compiled = ReturnType<typeof compileMessage>;
const compiled = new Map<string, Compiled>();

lingui.setMessagesCompiler((message) => {
  const known = compiled.get(message);
  if (known) return known;
  const written = compileMessage(message);
  compiled.set(message, written);
  return written;
});
lingui.loadAndActivate({ locale: 'en', messages: {} });

/**
 * The texts of the interface in the language it is shown in. What marks a text in the source asks here, so that a language is chosen
 * before the first text is read, whichever file that stands in.
 */
export const i18n = lingui;

type Marked = Pick<ComponentProps<typeof TransNoContext>, 'id' | 'message' | 'values' | 'components'>;

/** A text with parts of a page in it; what `Trans` in the source becomes. */
export function Text(props: Marked) {
  return <TransNoContext {...props} lingui={{ i18n }} />;
}
