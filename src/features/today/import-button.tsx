'use client';

import { useRouter } from 'next/navigation';
import { ImportFile } from '@/features/files/import-file';

/** Takes a job file in, and opens its job. */
export function ImportButton() {
  const router = useRouter();
  return (
    <ImportFile<{ id: string }>
      label="Import a job file"
      what="job file"
      url="/api/job-files"
      mostMegabytes={5}
      onTaken={({ id }) => {
        router.push(`/jobs/${id}`);
        router.refresh();
      }}
    />
  );
}
