import { readOutlines } from '../../formats/drawing';
import { answer } from './answer';

/** Reads a drawing that came from outside in a thread with a limit of its own. */
void answer((bytes: Uint8Array) => readOutlines(bytes));
