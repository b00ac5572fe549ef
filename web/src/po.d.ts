/** A catalogue of texts, by id, each in the form that the build gives it (see texts-plugin.ts). */
declare module '*.po' {
  import type { Messages } from '@lingui/core';

  const messages: Messages;
  export default messages;
}
