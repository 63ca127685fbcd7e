import { useState } from 'react';
import { afterwards } from '../../../core/clock/afterwards.ts';
import { calendarOf, later, type LocalTime } from '../../../core/exchange/calendar.ts';
import { formatMinutes } from '../../../core/units/format.ts';
import { ButtonOfNow } from '../../parts/ButtonOfNow.tsx';
import { Fact } from '../../parts/Fact.tsx';
import { saveFile } from '../../parts/saveFile.ts';
import { Group } from '../../parts/Station.tsx';
import { usePlan, usePresent } from '../../parts/usePlan.ts';
import { FinishChoices } from '../design/FinishChoices.tsx';

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

const two = (n: number): string => String(n).padStart(2, '0');

/** Calendars count changes from here: seconds since then stay small enough for all of them. */
const EPOCH_S = Date.UTC(2026, 0, 1) / 1000;
const changes = (): number => Math.floor(Date.now() / 1000) - EPOCH_S;

/** "Sat 28 Nov, 14:30" */
function timeWords(t: LocalTime): string {
  const day = new Date(t.year, t.month - 1, t.day).toLocaleDateString('en-GB', { weekday: 'short' });
  return `${day} ${t.day} ${MONTHS[t.month - 1] ?? ''}, ${two(t.hour)}:${two(t.minute)}`;
}

/** The next whole hour, as a field takes it. */
function nextHour(): string {
  const now = new Date();
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}T${two(Math.min(23, now.getHours() + 1))}:00`;
}

const read = (written: string): LocalTime | undefined => {
  const match = /^(\d{4})-(\d\d)-(\d\d)T(\d\d):(\d\d)$/.exec(written);
  if (!match) return undefined;
  const [, year, month, day, hour, minute] = match.map(Number);
  return { year: year ?? 0, month: month ?? 0, day: day ?? 0, hour: hour ?? 0, minute: minute ?? 0 };
};

/** After the pour: how it is kept, when it can be unmoulded, cut and used; saved as a calendar. */
export function AfterPage() {
  const { plan, computed } = usePlan('recipe', 'clock');
  const { name } = usePresent();
  const [written, setWritten] = useState(nextHour);
  const [fault, setFault] = useState<string>();
  const { recipe, clock } = computed;
  const start = read(written);
  if (!recipe) return <p className="quiet text-sm">There is no recipe yet: when it sets is not known.</p>;
  const after = afterwards(plan, recipe);
  const { unmouldH, cutH, cureWeeks, because } = after;
  const totalMin = clock?.totalMin ?? 0;
  const poured = start && later(start, totalMin / 60);
  const at = (hours: number): string => (poured ? timeWords(later(poured, hours)) : '–');
  const save = (): void => {
    if (!start) return;
    const file = calendarOf({ id: plan.id, name }, start, totalMin, after, changes());
    setFault(file.ok ? undefined : file.fault.message);
    if (file.ok) saveFile(`${name}.ics`, file.value, 'text/calendar');
  };
  return (
    <>
      <Group title="How it is kept">
        <FinishChoices />
      </Group>
      <Group title="When it is what">
        <label className="grid w-64 gap-1 text-sm">
          <span className="quiet">Poured from</span>
          <input
            type="datetime-local"
            className="field"
            value={written}
            onChange={(event) => setWritten(event.target.value)}
          />
        </label>
        <dl>
          <Fact name={`Poured, ${formatMinutes(totalMin)} later`} origin="estimated">
            {poured ? timeWords(poured) : '–'}
          </Fact>
          <Fact name={`Unmould from ${unmouldH.from} to ${unmouldH.to} h after`} origin="estimated" strong>
            {at(unmouldH.from)}
          </Fact>
          <Fact name={`Cut from ${cutH.from} to ${cutH.to} h after`} origin="estimated" strong>
            {at(cutH.from)}
          </Fact>
          <Fact
            name={`Cured, ${cureWeeks.from} to ${cureWeeks.to} weeks after the cut`}
            origin="estimated"
            strong
          >
            {at(cutH.from + cureWeeks.from * 168).split(',')[0]}
          </Fact>
        </dl>
        <p className="quiet text-sm">
          Estimates, from {because.join(', ')}. Unmould when it is firm enough not to dent; cut too soon it
          drags, too late it cracks. Gloves until it is cured.
        </p>
        <div>
          <ButtonOfNow tone="primary" disabled={!start} onPress={save}>
            Save as a calendar, with reminders
          </ButtonOfNow>
        </div>
        {fault !== undefined && (
          <p role="alert" className="text-sm text-error">
            {fault}
          </p>
        )}
      </Group>
    </>
  );
}
