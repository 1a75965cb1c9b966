import type { paths } from './schema';

/** A path of the API as it is described. */
export type Path = keyof paths;

type Named<P extends string> = P extends `${string}{${infer K}}${infer Rest}` ? K | Named<Rest> : never;

/** What a path names in braces. */
export type Params<P extends Path> = Record<Named<P>, string>;

type Ok = 200 | 201 | 202;

type AnswerOf<O> = O extends { responses: infer R }
  ? { [S in keyof R & Ok]: R[S] extends { content: { 'application/json': infer A } } ? A : undefined }[keyof R & Ok]
  : never;

/** What is answered to a method on a path, by the description. */
export type Answer<P extends Path, M extends keyof paths[Path]> = AnswerOf<paths[P][M]>;

/** The address of a path with its names filled in; it knows which path it is of, and so what is answered there. */
export type At<P extends Path> = string & { readonly path?: P };

/** Fills in what a path names, each as it must be written in an address. */
export function address<P extends Path>(path: P, params: Params<P>, query: Record<string, string> = {}): At<P> {
  const filled = path.replace(/\{(\w+)\}/g, (_, name: string) =>
    encodeURIComponent((params as Record<string, string>)[name] ?? ''),
  );
  const asked = new URLSearchParams(query).toString();
  return asked === '' ? filled : `${filled}?${asked}`;
}
