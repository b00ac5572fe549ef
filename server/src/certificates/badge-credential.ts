import type { Award } from './awards.service.js';

/** The addresses at which a badge, who gave it and what became of it can be read. */
export interface BadgeAddresses {
  readonly issuer: string;
  readonly key: string;
  readonly crest: string | null;
  readonly revoked: string;
  readonly achievement: string;
  readonly credential: string;
  /** For people. */
  readonly page: string;
}

const contexts = [
  'https://www.w3.org/ns/credentials/v2',
  'https://purl.imsglobal.org/spec/ob/v3p0/context-3.0.3.json',
  // status and schema of 1EdTech
  'https://purl.imsglobal.org/spec/ob/v3p0/extensions.json',
] as const;

export function badgeAddresses(
  origin: string,
  { id, clubId, gradeId, hasCrest }: { readonly id: string; readonly clubId: string; readonly gradeId: string; readonly hasCrest: boolean },
): BadgeAddresses {
  const issuer = `${origin}/api/issuers/${clubId}`;
  return {
    issuer,
    key: `${issuer}/key`,
    crest: hasCrest ? `${issuer}/crest.png` : null,
    revoked: `${issuer}/revoked`,
    achievement: `${issuer}/achievements/${gradeId}`,
    credential: `${origin}/api/badges/${id}/credential`,
    page: `${origin}/verify/${id}`,
  };
}

/** The profile of a club (Open Badges 3.0, Profile). */
export function issuerProfile(clubName: string, { issuer, crest }: Pick<BadgeAddresses, 'issuer' | 'crest'>): object {
  return {
    id: issuer,
    type: ['Profile'],
    name: clubName,
    url: new URL(issuer).origin,
    ...(crest === null ? {} : { image: { id: crest, type: 'Image', caption: `The crest of ${clubName}` } }),
  };
}

/** What a grade is (Open Badges 3.0, Achievement). */
export function achievementOf({ gradeName, programmeName, clubName, shown }: GradeWords, id: string): object {
  return {
    id,
    type: ['Achievement'],
    achievementType: 'Badge',
    name: gradeName,
    description: `${gradeName}, a grade of ${programmeName} at ${clubName}.`,
    criteria: {
      narrative: shown.length > 0 ? `Shown to an instructor of the club: ${shown.join('; ')}.` : 'Given by an instructor of the club.',
    },
  };
}

type GradeWords = Pick<Award, 'gradeName' | 'programmeName' | 'clubName' | 'shown'>;

/**
 * A grade as a credential: Open Badges 3.0, an OpenBadgeCredential in the data model of W3C Verifiable Credentials 2.0.
 * The child is a name – given name and an initial – and an id that stands in no other badge.
 */
export function badgeCredential(award: Award, addresses: BadgeAddresses, badgeId: string): Readonly<Record<string, unknown>> {
  const name = `${award.givenName} ${award.familyInitial}`;
  return {
    '@context': contexts,
    id: addresses.credential,
    type: ['VerifiableCredential', 'OpenBadgeCredential'],
    name: `${award.gradeName}, ${award.programmeName}`,
    issuer: issuerProfile(award.clubName, addresses),
    validFrom: `${award.awardedOn}T00:00:00Z`,
    credentialSubject: {
      id: `urn:uuid:${badgeId}`,
      type: ['AchievementSubject'],
      identifier: [{ type: 'IdentityObject', hashed: false, identityHash: name, identityType: 'name' }],
      achievement: achievementOf(award, addresses.achievement),
    },
    credentialStatus: { id: addresses.revoked, type: '1EdTechRevocationList' },
    credentialSchema: [
      {
        id: 'https://purl.imsglobal.org/spec/ob/v3p0/schema/json/ob_v3p0_achievementcredential_schema.json',
        type: '1EdTechJsonSchemaValidator2019',
      },
    ],
  };
}
