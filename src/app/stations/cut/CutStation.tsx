import { WATER_LOST_IN_CURE } from '../../../core/batter/fragranceLimit.ts';
import { barsText } from '../../../core/cut/barsText.ts';
import { isCavity } from '../../../core/mould/schema.ts';
import type { CutSettings } from '../../../core/plan/planSchema.ts';
import { lainOnSide, planedBy } from '../../../core/cut/way.ts';
import { plural } from '../../../core/units/words.ts';
import { formatNumber } from '../../../core/units/format.ts';
import { Fact } from '../../parts/Fact.tsx';
import { Group, Station } from '../../parts/Station.tsx';
import { FigureField, LengthField } from '../../parts/quantities.tsx';
import { useBench, useMouldUse } from '../../parts/usePlan.ts';
import { CutterFields } from './CutterFields.tsx';
import { CutWays } from './CutWays.tsx';
import { Gallery } from './Gallery.tsx';
import { LoafLength } from './LoafLength.tsx';
import type { Gesture } from '../../../store/gesture.ts';
import { Check } from '../../kit/Check.tsx';
import { partsOf } from '../../parts/partsOf.ts';
import { isLarge, useGrowing } from '../../parts/useGrowing.ts';
import { useTask } from '../../parts/useTask.ts';
import type { BarCut } from '../../../core/cut/bars.ts';
import type { Task } from '../../../core/task/task.ts';
import type { Grams } from '../../../core/units/quantity.ts';

/** Of a large plan first what is said, then the ways, then every bar. */
const PARTS = 3;

/** What each bar weighs, in turns: of thousands that takes its time. */
function* weighing({ bars }: BarCut): Task<never, readonly Grams[]> {
  const masses: Grams[] = [];
  for (const bar of bars) {
    yield { done: masses.length / bars.length };
    masses.push(bar.massG);
  }
  return masses;
}

export function CutStation() {
  const { plan, computed, edit, show } = useBench('cut', 'recipe', 'fill');
  const { use } = useMouldUse();
  const { cut, recipe } = computed;
  const cavity = isCavity(plan.mould);
  const stands = cut.pieces[0]?.axis === 'z';
  const { way } = plan.cut;
  const put = (change: Partial<CutSettings>, gesture: Gesture) =>
    edit((p) => ({ ...p, cut: { ...p.cut, ...change } }), gesture);
  const masses = useTask(cut, weighing);
  const parts = useGrowing(PARTS, isLarge(plan) ? 1 : PARTS);
  const least = Math.min(...(masses ?? []));
  const most = Math.max(...(masses ?? []));
  const range = (f: number): string =>
    masses === undefined
      ? '…'
      : most - least < 0.5
        ? show.mass(least * f)
        : `${show.massFigure(least * f)} to ${show.mass(most * f)}`;
  const cured = recipe ? 1 - (recipe.water * WATER_LOST_IN_CURE) / recipe.batterPerOil : 1;
  const field = partsOf(plan.cut, put);
  return (
    <Station
      station="cut"
      title={
        cavity
          ? 'A bar a cavity'
          : stands
            ? 'Cut into discs'
            : way
              ? 'Cut in blocks, then in slices'
              : 'Cut, straight across'
      }
    >
      <LoafLength />
      {!cavity && !stands && parts > 1 && <CutWays />}
      {cavity ? (
        <p className="text-sm">It comes out of its cavity as it is: nothing is cut.</p>
      ) : (
        <Group title="Bars">
          <div className="grid grid-cols-3 gap-3">
            <LengthField label={way ? 'Thickness of a slice' : 'Thickness'} {...field('thicknessMm')} />
            <LengthField label="Kerf of the cutter" {...field('kerfMm')} />
            {way && !stands && (
              <LengthField
                label="Length of a bar"
                value={way.longMm}
                onValue={(longMm, g) => put({ way: { ...way, longMm } }, g)}
              />
            )}
            {!stands && way?.by !== 'lengthwise' && (
              <FigureField
                label={cut.pieces.length > 1 ? 'Strips across, each piece' : 'Strips across'}
                suffix=""
                {...field('strips')}
              />
            )}
            <LengthField label={stands ? 'Trim, foot' : 'Trim, near end'} {...field('trimStartMm')} />
            <LengthField label={stands ? 'Trim, top' : 'Trim, far end'} {...field('trimEndMm')} />
            <LengthField
              label="Planed off"
              hint="The dull faces that lay against the mould."
              value={plan.cut.planeMm ?? 0}
              onValue={(planeMm, g) => edit(planedBy(planeMm), g)}
            />
          </div>
          {!way && !stands && (
            <Check checked={plan.cut.onSide === true} onCheck={(on) => edit(lainOnSide(on))}>
              Laid on its side, so that salt, seeds or a mica line do not drag through the faces
            </Check>
          )}
        </Group>
      )}
      {!cavity && !stands && <CutterFields />}
      <dl>
        <Fact name="Bars" strong>
          {barsText([{ cut, use }])}
        </Fact>
        <Fact
          name={
            stands
              ? 'Filled height'
              : cut.pieces.length > 1
                ? `The longest of ${cut.pieces.length} pieces`
                : 'Loaf, inside length at the floor'
          }
        >
          {show.length(cut.loafMm)}
        </Fact>
        {cut.sliced && cut.sliced.blocks > 0 && (
          <Fact name="In each loaf">
            {`${plural(cut.sliced.blocks, 'block')} × ${plural(cut.sliced.slices, 'slice')}${cut.sliced.across > 0 ? `, ${cut.sliced.across} across` : ''}`}
          </Fact>
        )}
        {!cavity && (
          <Fact name={cut.sliced ? 'Left over of its length' : 'Left over'}>
            {show.length(cut.remainderMm)}
          </Fact>
        )}
        {cut.bars.length > 0 && (
          <>
            <Fact name="A bar at the cut" origin="estimated" strong>
              {range(1)}
            </Fact>
            <Fact name="A bar after cure" origin="estimated">
              {range(cured)}
            </Fact>
            <Fact name="Face of a bar">
              {stands
                ? `a disc, ${show.length(cut.stripMm)} across`
                : `${show.length(way?.by === 'lengthwise' ? way.longMm : cut.stripMm)} × ${show.length(way?.by === 'floor' ? way.longMm : computed.fill.heightMm)}`}
            </Fact>
          </>
        )}
      </dl>
      {parts > 2 && <Gallery />}
      <p className="quiet text-sm">
        Mass at the cut is from the bar’s own volume, with its share of what lies on top. After cure supposes
        that {formatNumber(WATER_LOST_IN_CURE * 100, 0)} % of the water has gone; weigh a bar to know.
      </p>
    </Station>
  );
}
