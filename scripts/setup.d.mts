export const root: string;
export function run(command: string, args: string[], options?: object): void;
export function findChromium(): string | undefined;
export function needChromium(): void;
export function needReaders(): void;
export function setup(): Promise<void>;
export const CHROMIUM_ARGS: string[];
