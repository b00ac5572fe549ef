/** What is wrong with a library, by entry and field. */
export interface LibraryFault {
  readonly entry: string;
  readonly field: string;
  readonly kind: 'missing' | 'unknown-field' | 'not-allowed' | 'dose-out-of-range' | 'dangling' | 'circle' | 'twice' | 'contradiction';
  /** The value or name at fault, as it stands in the file. */
  readonly found: string;
  /** What it may be; left out where that is no list of words. */
  readonly allowed?: readonly string[];
}

/** What is wrong, as a sentence for whoever wrote the file. */
export function libraryFaultWords({ field, kind, found, allowed = [] }: LibraryFault): string {
  switch (kind) {
    case 'missing':
      return field === '' ? 'This is not an entry.' : `“${field}” is missing.`;
    case 'unknown-field':
      return `There is no field “${found}”.`;
    case 'not-allowed':
      return `“${field}” cannot be ${found === '' ? 'this' : found}${allowed.length > 0 ? `: it is ${allowed.join(', ')}` : ''}.`;
    case 'dose-out-of-range':
      return `“${field}” is ${found}, which nobody can do.`;
    case 'dangling':
      return `“${field}” names “${found}”, which is not there.`;
    case 'circle':
      return `“${found}” comes before this, and this before “${found}”.`;
    case 'twice':
      return `“${found}” is there twice.`;
    case 'contradiction':
      return `“${field}” does not fit: ${found}.`;
  }
}
