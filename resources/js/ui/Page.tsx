import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Mark } from './Mark';

/** A page of no project: the mark leads to all of them. */
export function Page({ title, children }: { title: string; children: ReactNode }) {
  return (
    <main className="mx-auto mt-[6vh] max-w-[52rem] px-6 pb-10">
      <p className="mb-6 text-lg font-bold">
        <Link to="/">
          <Mark /> Apron<span className="sr-only">, all projects</span>
        </Link>
      </p>
      <h1 className="border-b border-ink pb-1 text-[15px] font-bold">{title}</h1>
      {children}
    </main>
  );
}
