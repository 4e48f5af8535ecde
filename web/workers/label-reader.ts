import type { Worker as Reader } from 'tesseract.js';

/** Text read off a picture, with how sure the reader is of it, 0 to 100. */
export interface TextInPicture {
  text: string;
  confidence: number;
}

/**
 * Reads the text off a picture on this device; nothing is sent. `progress` runs from 0 to 1. The reader and its English
 * data come from Sabor's own server, once; `cancel` ends the work at once.
 */
export function readPicture(
  picture: Blob,
  progress: (share: number) => void,
): { answer: Promise<TextInPicture>; cancel: () => void } {
  let reader: Reader | null = null;
  let over = false;
  const answer = (async () => {
    const { createWorker, OEM } = await import('tesseract.js');
    reader = await createWorker('eng', OEM.LSTM_ONLY, {
      workerPath: '/label-reader/worker.js',
      corePath: `${location.origin}/label-reader`,
      langPath: `${location.origin}/label-reader`,
      workerBlobURL: false,
      cacheMethod: 'none',
      logger: ({ status, progress: share }) => {
        if (status === 'recognizing text') progress(share);
      },
      errorHandler: () => {},
    });
    try {
      if (over) throw new Error('The reading was stopped.');
      const { data } = await reader.recognize(picture);
      return { text: data.text, confidence: data.confidence };
    } finally {
      await reader.terminate();
    }
  })();
  return {
    answer,
    cancel: () => {
      over = true;
      void reader?.terminate();
    },
  };
}
