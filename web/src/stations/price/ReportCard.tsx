import { useState } from 'react';
import type { Cost } from '@kolleta/core/cost';
import { reportOf, type ReportFor } from '@kolleta/core/plan';
import { download, fileName } from '../../storage/download';
import { plainly } from '../../storage/plainly';
import { useWorkshop } from '../../storage/useWorkshop';
import { useTell } from '../../ui/toasts';
import { Choice, Sentence } from '../../ui/tokens';
import type { StationProps } from '../../frame/station';

/** The report of a job on paper: its marks drawn to scale, what they are made from, the time, the care and the price. */
export function ReportCard({ job, plan, shop, cost }: Pick<StationProps, 'job' | 'plan' | 'shop'> & { cost: Cost | undefined }) {
  const { events } = useWorkshop();
  const tell = useTell();
  const [whom, setWhom] = useState<ReportFor>('client');
  const dates = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', year: 'numeric', timeZone: shop.hours.zone });
  const save = async () => {
    try {
      const { pdfReport } = await import('./pdfReport');
      const parts = reportOf(job, plan, cost, { shop, events, whom, day: (at) => dates.format(at) });
      download(`${fileName(`${job.name}, report`)}.pdf`, await pdfReport(job, plan, shop, parts), 'application/pdf');
    } catch (error) {
      tell(plainly(error), { tone: 'error' });
    }
  };
  return (
    <section className="sheet px-4 py-3" aria-label="Report">
      <h2 className="text-[0.98rem] font-bold">Report</h2>
      <Sentence className="text-[0.97rem]!">
        Drawn to scale, with materials, time, care and price, for{' '}
        <Choice
          label="Whom the report is for"
          value={whom}
          options={[
            { value: 'client', label: 'the client' },
            { value: 'self', label: 'yourself, with what went wrong' },
          ]}
          onChange={(value) => {
            setWhom(value);
            return Promise.resolve(0);
          }}
        />
        .
      </Sentence>
      <button type="button" className="btn btn-sm btn-outline btn-primary mt-1" onClick={() => void save()}>
        Save the report as PDF
      </button>
    </section>
  );
}
