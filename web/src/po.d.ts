/** A catalogue of texts, by id, each in the form that the build gives it (see texts-plugin.ts). */
declare module '*.po' {
  const messages: import('@lingui/core').Messages;
  export default messages;
}
