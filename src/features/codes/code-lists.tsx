'use client';

import { Link } from '@/ui/link';
import { useRouter } from 'next/navigation';
import type { CodePack } from '@/core/codes';
import { ImportFile } from '@/features/files/import-file';
import { PageBar } from '@/ui/page-bar';

/** A pack with the title of its family. */
export interface ListedPack {
  readonly pack: CodePack;
  readonly family: string;
  /** Undefined for one that came with Ohmmeter. */
  readonly revision?: number;
}

/** Packs of codes: those that came with Ohmmeter, and the firm's, to be changed, brought in and handed out. */
export function CodeLists({ listed }: { listed: readonly ListedPack[] }) {
  const router = useRouter();
  return (
    <div className="min-h-dvh bg-sheet">
      <PageBar />
      <main className="mx-auto max-w-3xl px-5 py-4">
        <h1 className="text-title-l font-semibold">Lists of codes</h1>
        <p className="mt-1 max-w-prose">
          What a control shows, and what it saw when it does. The lists that came with Ohmmeter are
          invented: copy one, and write down what stands in the papers of the make.
        </p>
        <ul className="mt-4 border-t-2 border-rule">
          {listed.map(({ pack, family, revision }) => (
            <li
              key={pack.id}
              className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-hair py-3"
            >
              <div className="min-w-0 flex-1">
                <p className="text-lead leading-tight font-semibold">{pack.title}</p>
                <p className="text-small text-ink-2">
                  {[
                    family,
                    `${pack.codes.length} codes`,
                    pack.shownBy === 'light' ? 'a light' : 'a display',
                    pack.makes?.join(', '),
                    revision === undefined ? 'came with Ohmmeter' : '',
                  ]
                    .filter(Boolean)
                    .join(' · ')}
                </p>
              </div>
              <Link
                className="button"
                href={revision === undefined ? `/codes/new?from=${pack.id}` : `/codes/${pack.id}`}
              >
                {revision === undefined ? 'Copy' : 'Change'}
                <span className="sr-only"> {pack.title}</span>
              </Link>
              {revision !== undefined && (
                <a className="button" href={`/api/code-packs/${pack.id}`} download>
                  Hand out<span className="sr-only"> {pack.title}</span>
                </a>
              )}
            </li>
          ))}
        </ul>
        <div className="mt-4">
          <ImportFile
            label="Bring in a list"
            what="list of codes"
            url="/api/code-packs"
            mostMegabytes={1}
            className="button"
            onTaken={() => router.refresh()}
          />
        </div>
      </main>
    </div>
  );
}
