import type { Metadata } from 'next';
import { currentPerson } from '@/app/person';
import { may } from '@/shop/access/roles';
import { gaugeDesk, keepUsual } from '@/shop/gauges/gauges';
import { amendInstrument, instruments } from '@/shop/instruments/instruments';
import { MeasuringScreen } from '@/ui/measuring/MeasuringScreen';

export const metadata: Metadata = { title: 'Measuring' };

export default async function MeasuringPage() {
  const [person, desk, rows] = await Promise.all([currentPerson(), gaugeDesk(), instruments()]);
  return (
    <MeasuringScreen
      instruments={rows}
      units={desk.units}
      usual={desk.usual}
      mayInstruments={may(person.role, amendInstrument.spec)}
      mayUsual={may(person.role, keepUsual.spec)}
    />
  );
}
