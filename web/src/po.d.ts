/** A catalogue of texts, by id (see texts-plugin.ts). */
declare module '*.po' {
  const messages: Readonly<Record<string, string>>;
  export default messages;
}
