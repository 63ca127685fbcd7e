import { Download } from 'lucide-react';
import { fileStem } from '../../../../core/exchange/writePlan.ts';
import { writeGpl, writePaletteFile, type Palette } from '../../../../core/exchange/palette.ts';
import { isFrom } from '../../../../core/plan/sources.ts';
import { NO_COLOUR } from '../../../parts/ink.ts';
import { ButtonOfNow } from '../../../parts/ButtonOfNow.tsx';
import { PaletteImport } from '../../../parts/colour/PaletteImport.tsx';
import { saveFile } from '../../../parts/saveFile.ts';
import { Group } from '../../../parts/Station.tsx';
import { useColours, usePlan, usePresent } from '../../../parts/usePlan.ts';

/** The colours of this plan as a palette for other programs, and palettes taken in. */
export function PalettePlan() {
  const { name } = usePresent();
  const { plan } = usePlan();
  const colours = useColours();
  const graded = plan.steps.flatMap((s) => (s.kind === 'pour' && s.ombre ? [s] : []));
  const ofOmbres = graded.map((s) => {
    const ombre = plan.ombres.find((o) => o.id === s.ombre?.id);
    const nth = graded.filter((g) => g.ombre?.id === s.ombre?.id).indexOf(s) + 1;
    return { name: `${ombre?.name ?? 'Ombre'} ${nth}`, colour: colours.pours.get(s.id) ?? NO_COLOUR };
  });
  const plain = plan.pots
    .filter((p) => !graded.some((s) => isFrom(s, p.id)))
    .map((p) => ({ name: p.name, colour: colours.pots.get(p.id) ?? NO_COLOUR }));
  const palette: Palette = { name, colours: [...plain, ...ofOmbres] };
  const stem = fileStem(name, 'palette');
  return (
    <Group title="Palette">
      <div className="flex flex-wrap items-center gap-2">
        <ButtonOfNow icon={Download} onPress={() => saveFile(`${stem}.gpl`, writeGpl(palette), 'text/plain')}>
          Palette, .gpl
        </ButtonOfNow>
        <ButtonOfNow
          icon={Download}
          onPress={() =>
            saveFile(`${stem}.dripline-palette.json`, writePaletteFile(palette), 'application/json')
          }
        >
          JSON
        </ButtonOfNow>
        <PaletteImport />
      </div>
    </Group>
  );
}
