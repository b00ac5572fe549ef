/** Ids that the client makes, slugs that name what a library holds; and what is said of one that is none. */
export const id = /^[A-Za-z0-9_-]{1,64}$/;
export const slug = /^[a-z0-9]+(-[a-z0-9]+)*$/;
export const notAnId = 'An id has 1 to 64 letters, digits, “-” or “_”.';
export const notAMovement = 'A movement is named by its slug: small letters and digits, joined by “-”.';
