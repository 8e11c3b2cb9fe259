import Form from 'next/form';
import { Link } from '@/ui/link';
import { Search } from 'lucide-react';

/** Finds jobs by words: customer, street, number, make, model, serial, what the customer said. */
export function FindJobs({ find }: { find: string }) {
  return (
    <Form
      action="/"
      role="search"
      className="my-1 flex basis-full items-center gap-2 sm:my-0 sm:ml-auto sm:basis-auto"
    >
      <input
        type="search"
        name="find"
        defaultValue={find}
        key={find}
        maxLength={200}
        autoComplete="off"
        className="field min-w-0 flex-1 sm:w-64"
        aria-label="Find jobs by name, street, number or serial"
        placeholder="name, street, number, serial"
      />
      <button type="submit" className="button" aria-label="Find">
        <Search size={20} aria-hidden="true" />
      </button>
      {find !== '' && (
        <Link href="/" className="link flex min-h-11 items-center">
          All
        </Link>
      )}
    </Form>
  );
}
