import type { GaugeReading } from '@tasche/contract';
import { GAUGED, gaugeCheck } from '@tasche/core';
import { ref, type Ref } from 'vue';
import { post } from '../api/request';
import { useSheet } from '../sheet/sheet-store';
import { useGauge } from './use-gauge';

interface CheckGauge {
  /** The first day of the check. */
  since: Readonly<Ref<string>>;
  /** The club a reading is of, unless another was laid in the gauge. */
  clubId: () => string | undefined;
  /** A club was laid in. */
  lies: (clubId: string) => void;
  reads: (clubId: string, reading: GaugeReading) => void;
}

/**
 * A digital gauge beside a check: what it sends is of the club that was laid in it, else of the one the cursor
 * is on. A simulated gauge is told what lies in it.
 */
export function useCheckGauge({ since, clubId, lies, reads }: CheckGauge) {
  const store = useSheet();
  const problem = ref('');
  /** The club that was laid in a simulated gauge: its reading is its own, wherever the cursor is by then. */
  let laidId: string | undefined;

  const { view: gauge, isHere } = useGauge((reading) => {
    const id = laidId ?? clubId();
    laidId = undefined;
    if (id !== undefined && store.clubsById.has(id) && store.may('editClub')) reads(id, reading);
  });

  /** Lays the next club in a simulated gauge, as it was last known. */
  async function lay(): Promise<void> {
    const club = store.clubsById.get(clubId() ?? '');
    if (!club) return;
    const [loftDeg, lieDeg] = GAUGED.map((gauged) => {
      const { measuredDeg, wantedDeg } = gaugeCheck(club.spec, gauged, since.value);
      return measuredDeg ?? wantedDeg;
    });
    lies(club.id);
    laidId = club.id;
    problem.value = '';
    await post('/gauge/measure', {
      ...(loftDeg !== undefined && { loftDeg }),
      ...(lieDeg !== undefined && { lieDeg }),
    }).catch((error: unknown) => (problem.value = (error as Error).message));
  }

  return { gauge, isHere, problem, lay };
}
