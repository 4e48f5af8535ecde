/**
 * A name as it is compared: lower case, accents and marks dropped, British spellings and plurals of labels evened out,
 * everything but letters and digits gone. Two names that come to the same are the same ingredient.
 */
export function normalName(name: string): string {
  // Most names are plain; the costly part is for those that are not.
  const plain = /^[ -~]*$/.test(name) ? name : name.normalize('NFKD').replace(/\p{M}/gu, '');
  return plain
    .toLowerCase()
    .replace(/sulph/g, 'sulf')
    .replace(/hydrolys/g, 'hydrolyz')
    .replace(/aluminium/g, 'aluminum')
    .replace(/\bcoloured\b/g, 'colored')
    .replace(/α/g, 'alpha')
    .replace(/β/g, 'beta')
    .replace(/[^a-z0-9]+/g, '');
}
