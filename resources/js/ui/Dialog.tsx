import { Dialog as Radix } from 'radix-ui';
import type { ReactNode } from 'react';

interface Props {
  open: boolean;
  close: () => void;
  title: string;
  /** where the focus goes when it is closed, if not to what opened it */
  focusBack?: (() => void) | undefined;
  children: ReactNode;
}

const PLACE =
  'fixed top-[12%] left-1/2 max-h-[76vh] w-[36rem] max-w-[94vw] -translate-x-1/2 max-sm:top-[4%] max-sm:max-h-[92vh]';

/** Laid on the sheet: one hairline frame, closed with Escape. */
export function Dialog({ open, close, title, focusBack, children }: Props) {
  const closed = (event: Event) => {
    if (!focusBack) return;
    event.preventDefault();
    focusBack();
  };
  return (
    <Radix.Root
      open={open}
      onOpenChange={(o) => {
        if (!o) close();
      }}
    >
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 bg-ink/20" />
        <Radix.Content
          aria-describedby={undefined}
          onCloseAutoFocus={closed}
          className={`${PLACE} overflow-auto border border-ink bg-paper p-4`}
        >
          <Radix.Title className="mb-2 text-base font-bold">{title}</Radix.Title>
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
