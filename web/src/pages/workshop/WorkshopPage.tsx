import { setAt } from '@kolleta/core/job';
import { editShop } from '../../storage/editShop';
import { useWorkshop } from '../../storage/useWorkshop';
import { TextWord } from '../../ui/tokens';
import { HoursCard } from './HoursCard';
import { DaysOffCard } from './DaysOffCard';
import { MachinesCard } from './MachinesCard';
import { PeopleCard } from './PeopleCard';
import { RackCard } from './RackCard';
import { RoomCard } from './RoomCard';
import { WorkshopFile } from './WorkshopFile';

/** What the workshop is: its name, hours, machines, room, units, money; and all of it as a file. */
export function WorkshopPage() {
  const { shop } = useWorkshop();
  return (
    <div className="flex flex-col gap-4">
      <h1 className="text-[1.65rem] font-extrabold [&_.token]:text-base-content [&_.token]:border-transparent hover:[&_.token]:border-primary">
        <TextWord
          label="Name of the workshop"
          value={shop.name}
          onChange={(name) => editShop(setAt(['name'], name), 'Name the workshop')}
        />
      </h1>
      <HoursCard shop={shop} />
      <div className="grid grid-cols-1 items-start gap-4 lg:grid-cols-2">
        <PeopleCard shop={shop} />
        <DaysOffCard shop={shop} />
      </div>
      <MachinesCard shop={shop} />
      <div className="grid grid-cols-1 items-start gap-4 lg:grid-cols-2">
        <RoomCard shop={shop} />
        <div className="flex flex-col gap-4">
          <RackCard shop={shop} />
          <section id="file" aria-label="The workshop as a file" className="sheet px-4 py-3">
            <WorkshopFile />
          </section>
        </div>
      </div>
    </div>
  );
}
