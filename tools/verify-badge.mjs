// Says whether a badge of a club is genuine, like somebody would who knows nothing of Leiter: the file alone, and what the addresses in
// it answer. `node tools/verify-badge.mjs badge.svg` (or the address of a badge).
import { readFileSync } from 'node:fs';
import { decodeJwt, decodeProtectedHeader, importJWK, jwtVerify } from 'jose';

const wrong = (why) => {
  console.log(`Not valid: ${why}`);
  process.exit(1);
};

const read = async (address) => {
  const answer = await fetch(address);
  if (!answer.ok) wrong(`${address} answers ${answer.status}`);
  return answer;
};

const [from] = process.argv.slice(2);
if (from === undefined) wrong('say which file or address');
const text = /^https?:/.test(from) ? await (await read(from)).text() : readFileSync(from, 'utf8');
// baked into a picture, or the token alone
const token = /<openbadges:credential[^>]*\sverify=["']([^"']+)["']/.exec(text)?.[1] ?? text.trim();

const { alg, kid } = decodeProtectedHeader(token);
const said = decodeJwt(token);
const issuer = typeof said.issuer === 'string' ? said.issuer : said.issuer?.id;
// a key of somebody else proves nothing
if (new URL(kid).origin !== new URL(issuer).origin) wrong('the key is not that of the issuer');
const key = await importJWK(await (await read(kid)).json(), alg);
const { payload } = await jwtVerify(token, key, { issuer, algorithms: ['EdDSA'] }).catch((error) => wrong(error.message));
if (payload.jti !== payload.id) wrong('the token is of another credential');
if (!payload.type?.includes('OpenBadgeCredential')) wrong('this is no Open Badge');
const status = payload.credentialStatus;
if (status?.type === '1EdTechRevocationList') {
  const { revokedCredential } = await (await read(status.id)).json();
  const revoked = revokedCredential.find(({ id }) => id === payload.id);
  if (revoked) wrong(`revoked: ${revoked.revocationReason}`);
}
const { achievement, identifier } = payload.credentialSubject;
console.log(
  `Valid: ${identifier[0].identityHash}, ${achievement.name}, given by ${payload.issuer.name} on ${payload.validFrom.slice(0, 10)}`,
);
