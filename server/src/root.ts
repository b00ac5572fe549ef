import { fileURLToPath } from 'node:url';

/** The folder of the project: content, built pages and fonts are found from here, wherever the server was built to. */
export const root = fileURLToPath(new URL('../../', import.meta.url));
