import { v5 } from 'uuid';

const NAMESPACE = 'b1a7a4f0-6f2e-4c58-9d53-0f5b8f9d2c11';

/** The same id for the same name every time, so that a demo made twice is the same. */
export const demoId = (name: string): string => v5(name, NAMESPACE);
