import type { ReactNode } from 'react';

/** A band under the header: something about the whole application that wants an answer. */
export function Band({ tone, label, children }: { tone: 'error' | 'watch' | 'plain'; label: string; children: ReactNode }) {
  const look = { error: 'bg-error text-error-content', watch: 'bg-[#f4d9a4] text-[#22302f]', plain: 'bg-[#0e5a61] text-white' }[tone];
  return (
    <section aria-label={label} role={tone === 'error' ? 'alert' : 'status'} className={`${look} px-4 py-2 sm:px-6`}>
      <div className="mx-auto flex max-w-[87rem] flex-wrap items-center gap-x-3 gap-y-1.5">{children}</div>
    </section>
  );
}

/** A button on a band. */
export function BandButton({ onClick, children }: { onClick: () => void; children: ReactNode }) {
  return (
    <button type="button" className="btn btn-sm border-current/40 bg-white/85 text-[#22302f] shadow-none hover:bg-white" onClick={onClick}>
      {children}
    </button>
  );
}
