import { toast } from 'sonner';
import { call } from './api';
import { useWrite } from './query';
import { undoToast } from './undo-toast';

interface Removal<T, R> {
  /** Address of a row, such as `/api/projects/ID`. */
  address: (row: T) => string;
  /** What is said when it is gone, and when it could not be taken out. */
  gone: (row: T) => string;
  failed: (row: T) => string;
  /** Takes it off the screen, at once. */
  drop: (row: T) => void;
  /** Puts it there again; `back` is what the server gave for it, when it was deleted there. */
  put: (row: T, back?: R) => void;
  /** Told when it is gone on the server, and when it is there again. */
  settled?: () => void;
}

/** Takes rows out at once, puts back what is refused, and offers to take it back. */
export function useRemoval<T, R = T>({ address, gone, failed, drop, put, settled }: Removal<T, R>): (row: T) => void {
  const removal = useWrite((row: T) => call('DELETE', address(row)), {
    onMutate: drop,
    onSuccess: (_answer, row) => {
      settled?.();
      undoToast(gone(row), async () => {
        put(row, await call<R>('POST', `${address(row)}/restore`));
        settled?.();
      });
    },
    onError: (problem, row) => {
      put(row);
      const action = { label: 'Try again', onClick: () => removal.mutate(row) };
      toast.error(`${failed(row)}. ${problem.message}`, { duration: Infinity, action });
    },
  });
  return removal.mutate;
}

/** Rows of a list on the screen. */
export interface RowList<T> {
  put: (row: T) => void;
  drop: (id: string) => void;
}

/** The same for rows with a name, of one list. @param path of the collection, such as `/api/cloths` */
export function useNamedRemoval<T extends { id: string; name: string }>(path: string, list: RowList<T>): (row: T) => void {
  return useRemoval<T>({
    address: ({ id }) => `${path}/${id}`,
    gone: ({ name }) => `“${name}” is deleted.`,
    failed: ({ name }) => `“${name}” could not be deleted`,
    drop: ({ id }) => list.drop(id),
    put: (row, back) => list.put({ ...row, ...back }),
  });
}

/** A list of rows in the state of a component as such a list, a new row first. */
export function rowsIn<T extends { id: string }>(set: (change: (all: T[]) => T[]) => void): RowList<T> {
  return {
    put: (row) =>
      set((all) => (all.some(({ id }) => id === row.id) ? all.map((each) => (each.id === row.id ? row : each)) : [row, ...all])),
    drop: (gone) => set((all) => all.filter(({ id }) => id !== gone)),
  };
}
