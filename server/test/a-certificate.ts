import type { Certificate } from '../src/certificates/certificate-paper.js';

/** A certificate of a grade, without what can be verified. */
export const aCertificate: Certificate = {
  clubName: 'The Sail Loft',
  childName: 'Noor H',
  says: 'has earned the grade',
  title: 'Reef',
  about: 'Gymnastics, 1 December 2026',
  shown: ['Straight jump', 'Bridge', 'Stork'],
  signedBy: null,
  ladder: { rungs: 8, earned: 2 },
  verifiedAt: null,
};
