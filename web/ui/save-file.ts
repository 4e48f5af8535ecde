/** Hands a file made on the page to the browser to be saved. */
export function saveFile(content: BlobPart, type: string, name: string): void {
  const url = URL.createObjectURL(new Blob([content], { type }));
  Object.assign(document.createElement('a'), { href: url, download: name }).click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
