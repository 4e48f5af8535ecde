import type { Readable } from 'node:stream';
import { fromBuffer } from 'yauzl';
import { ZipFile } from 'yazl';

/** The files of a zip, by name. */
export function unzipped(zip: Buffer): Promise<Map<string, Buffer>> {
  return new Promise((resolve, reject) => {
    fromBuffer(zip, { lazyEntries: true }, (error, file) => {
      if (error) return reject(error);
      const files = new Map<string, Buffer>();
      file.on('entry', (entry) =>
        file.openReadStream(entry, async (failed, stream) => {
          if (failed) return reject(failed);
          const chunks: Buffer[] = [];
          for await (const chunk of stream) chunks.push(chunk as Buffer);
          files.set(entry.fileName, Buffer.concat(chunks));
          file.readEntry();
        }),
      );
      file.once('end', () => resolve(files));
      file.readEntry();
    });
  });
}

/** A zip of these files. */
export async function zipped(files: ReadonlyMap<string, Buffer>): Promise<Buffer> {
  const zip = new ZipFile();
  for (const [name, content] of files) zip.addBuffer(content, name);
  zip.end();
  const chunks: Buffer[] = [];
  for await (const chunk of zip.outputStream as unknown as Readable) chunks.push(chunk as Buffer);
  return Buffer.concat(chunks);
}
