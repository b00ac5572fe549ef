/** What Leiter uses of pdfmake 0.3, which has no types of its own. */
declare module 'pdfmake' {
  interface PdfMake {
    setFonts(fonts: Readonly<Record<string, { readonly normal: string; readonly bold: string }>>): void;
    addTableLayouts(layouts: Readonly<Record<string, object>>): void;
    setUrlAccessPolicy(policy: (url: string) => boolean): void;
    setLocalAccessPolicy(policy: (path: string) => boolean): void;
    /** Told the share of a document that is drawn, from 0 to 1; of whichever document. */
    setProgressCallback(callback: (share: number) => void): void;
    createPdf(document: object): { getBuffer(): Promise<Buffer> };
  }
  const pdfmake: PdfMake;
  export default pdfmake;
}
