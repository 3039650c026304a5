import { GoneFromDocument } from '@kolleta/core/job';
import { isStorageError } from './keeping';
import { Told } from './told';

/**
 * An error in words for the user: those that were written for people as they are; of our own mistakes only what they mean, and the rest for
 * the console.
 */
export function plainly(error: unknown): string {
  if (error instanceof Told) return error.message;
  if (error instanceof GoneFromDocument) return 'What you changed was taken away meanwhile, so nothing was changed.';
  if (isStorageError(error)) return 'The browser’s storage does not answer just now. Nothing was changed; try again.';
  console.error(error);
  return 'Something in Kolleta failed here, and nothing was changed. Try again; if it comes again, take back your last change.';
}
