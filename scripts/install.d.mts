export const root: string;
export function installDependencies(): string;
export function installDebian(packageName: string, present: () => boolean): string;
