export const root: string;
export function installDependencies(): string;
export function installDebian(packageName: string, present: () => boolean): string;
export function installPython(): string;
export function installPdfTools(): string;
export const CHROMIUMS: readonly string[];
export function installChromium(): string;
