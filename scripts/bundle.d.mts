export function bundled(entry: string): Promise<string>;
