import { QueryClient, useMutation, useQuery, type UseMutationOptions } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { call, type ApiError } from './api';

/** A server that does not answer is asked so many times more, after so long, ms. */
const ASK_AGAIN = 2;
const AFTER = 400;

/**
 * What the screens of one page know of the server. It stands on this computer or on the home network: whether there is an internet
 * does not matter to it, and an answer is never so old that it need not be asked again.
 */
function newClient(): QueryClient {
  return new QueryClient({
    defaultOptions: {
      queries: {
        networkMode: 'always',
        refetchOnWindowFocus: false,
        retry: (times, error) => (error as ApiError).status === 0 && times < ASK_AGAIN,
        retryDelay: AFTER,
      },
      mutations: { networkMode: 'always' },
    },
  });
}

let ofThisPage: QueryClient | undefined;

/** The client of the page in this browser. */
export const browserClient = (): QueryClient => (ofThisPage ??= newClient());

/**
 * The one client of this page. Where the server paints there is no page yet: every hook gets one of its own, that lives as long as the
 * painting does. One that was kept there would paint for everybody what it was told first.
 */
export function useClient(): QueryClient {
  return useState(() => (typeof window === 'undefined' ? newClient() : browserClient()))[0];
}

interface AskOptions<T> {
  /** The answer to the first question, where it came with the page. */
  start?: T | undefined;
  /** What came with the page is only the beginning of it, and all of it is asked for at once. */
  partly?: boolean;
}

/** What the server says to a question. */
export interface Asked<T> {
  /** The answer; to the question before, until this one's is there. */
  answer: T | undefined;
  /** Whether it is the answer to this question. */
  current: boolean;
  /** Whether an answer is on its way. */
  busy: boolean;
  error: string | undefined;
  /** The same, with the field that it is about. */
  problem: ApiError | undefined;
  again: () => Promise<unknown>;
}

/**
 * Asks the server, again with every change of the question; an earlier question that is still open is given up.
 *
 * @param path of the endpoint; without one nothing is asked @param body sent with POST; without one it is GET
 */
export function useAsked<T>(path: string | undefined, body?: unknown, { start, partly = false }: AskOptions<T> = {}): Asked<T> {
  const [first] = useState(() => JSON.stringify([path, body]));
  const atStart = start !== undefined && first === JSON.stringify([path, body]);
  const query = useQuery<T, ApiError>(
    {
      queryKey: [path, body],
      queryFn: ({ signal }) => call<T>(body === undefined ? 'GET' : 'POST', path!, body, signal),
      enabled: path !== undefined,
      ...(atStart && !partly ? { initialData: start, refetchOnMount: false } : {}),
      ...(atStart && partly ? { placeholderData: start as never } : {}),
    },
    useClient(),
  );
  const [before, setBefore] = useState(start);
  const { data } = query;
  useEffect(() => {
    if (data !== undefined) setBefore(data);
  }, [data]);
  return {
    answer: data ?? before,
    current: data !== undefined,
    busy: query.isFetching,
    error: query.error?.message,
    problem: query.error ?? undefined,
    again: query.refetch,
  };
}

/** A value once it has stood still for some time, ms: what is typed is asked about when the hand rests. */
export function useRested<T>(value: T, after: number): T {
  const [rested, setRested] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setRested(value), after);
    return () => clearTimeout(timer);
  }, [value, after]);
  return rested;
}

/** The same object as long as it says the same. */
export function useSame<T>(value: T): T {
  const text = JSON.stringify(value);
  // What it says is all that counts.
  // eslint-disable-next-line react-hooks/exhaustive-deps
  return useMemo(() => value, [text]);
}

/** Something that the server is told to do, with how it stands; what is refused is in `error`. */
export function useWrite<T, R>(write: (what: T) => Promise<R>, options: UseMutationOptions<R, ApiError, T> = {}) {
  return useMutation<R, ApiError, T>({ mutationFn: write, ...options }, useClient());
}
