import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import type { Schema } from '../api/client';
import { useAges, useAir } from '../api/chambers';
import { useSession } from '../api/house';
import { Figure } from '../kit/Figure';
import { Page, Waiting } from '../kit/Page';
import { days, figure, moment, useUnits } from '../kit/units';
import { AirChart } from './AirChart';
import { AirEvents } from './AirEvents';
import { ChamberLoad, Probes } from './ChamberLoad';
import { LoggerFile } from './LoggerFile';
import { RoomWater } from './RoomWater';
import { stretches, week } from './stretch';
import { inUnit } from '../kit/axis';

/** Was the air right? */
export default function ChamberPage() {
  const { id = '' } = useParams();
  const [search, setSearch] = useSearchParams();
  const stretch = stretches.find(({ name }) => name === search.get('over')) ?? week;
  const air = useAir(id, stretch.hours, stretch.points);
  const [importing, setImporting] = useState(false);
  const mayImport = useSession().data?.me?.role === 'OWNER';
  if (!air.data) {
    return <Waiting failure={air.error} />;
  }
  return (
    <Page title={air.data.chamberName} aside={<Heard air={air.data} />}>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', mb: 2 }}>
        <ToggleButtonGroup
          exclusive
          aria-label="How far back"
          value={stretch.name}
          onChange={(_, over: string | null) => over && setSearch({ over }, { replace: true })}
        >
          {stretches.map(({ name }) => (
            <ToggleButton key={name} value={name}>
              {name}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        {mayImport && (
          <Button color="inherit" onClick={() => setImporting(true)}>
            Take in a logger’s file
          </Button>
        )}
        <Button color="inherit" component={Link} to={`/chambers/${id}/record`}>
          Record for an inspector
        </Button>
      </Box>
      <Box
        sx={{
          display: 'grid',
          gap: 4,
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 2fr) minmax(0, 1fr)' },
        }}
      >
        <Charts air={air.data} />
        <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 4, alignContent: 'start' }}>
          <AirEvents air={air.data} />
          <ChamberLoad id={id} />
          <RoomWater id={id} />
          <Ages id={id} />
          <Probes id={id} />
        </Box>
      </Box>
      {importing && <LoggerFile chamberId={id} onClose={() => setImporting(false)} />}
    </Page>
  );
}

const healthWords: Record<Schema['AirView']['health'], string> = {
  NEVER_HEARD: 'No probe has been heard here yet',
  WELL: '',
  SILENT: 'The probe is silent',
  STUCK: 'The probe’s figures do not move: look at it',
};

function Heard({ air }: { air: Schema['AirView'] }) {
  const words = healthWords[air.health];
  return (
    <Typography sx={{ color: words ? 'warning.main' : 'text.secondary', fontWeight: words ? 640 : 400 }}>
      {words}
      {words && air.latest && ', '}
      {air.latest && `last reading ${moment(air.latest.at)}`}
    </Typography>
  );
}

function Charts({ air }: { air: Schema['AirView'] }) {
  const units = useUnits();
  const { latest } = air;
  if (air.points.length === 0) {
    return (
      <Typography sx={{ maxWidth: '42em' }}>
        Nothing was recorded in this stretch. Forecasts take the air the chamber is set to,{' '}
        {units.temperature(air.setCelsius)} and {Math.round(air.setHumidityPercent)} % RH. A probe is added in{' '}
        <Link to="/settings#probes">Settings</Link>; a logger’s file can be taken in here.
      </Typography>
    );
  }
  const meanWords =
    air.meanCelsius == null
      ? ''
      : `mean ${units.temperature(air.meanCelsius)}, set to ${units.temperature(air.setCelsius)}`;
  const meanHumidity =
    air.meanHumidityPercent == null
      ? 'not measured'
      : `mean ${Math.round(air.meanHumidityPercent)} %, set to ${Math.round(air.setHumidityPercent)} %`;
  return (
    <Box sx={{ display: 'grid', gap: 2.5, alignContent: 'start' }}>
      {air.setPointMiss && (
        <Typography
          role="status"
          sx={{ borderLeft: '6px solid', borderColor: 'warning.main', pl: 2, fontWeight: 620 }}
        >
          {air.setPointMiss} Forecasts go on with the air as it is.
        </Typography>
      )}
      <Box sx={{ display: 'flex', gap: 5, flexWrap: 'wrap' }}>
        <Figure name="Temperature" big>
          {latest?.celsius == null ? '–' : units.temperature(latest.celsius)}
        </Figure>
        <Figure name="Humidity" big>
          {latest?.humidityPercent == null ? '–' : `${latest.humidityPercent.toFixed(0)} % RH`}
        </Figure>
        {latest?.metresPerSecond != null && (
          <Figure name="Air moves" big>{`${figure(latest.metresPerSecond, 1)} m/s`}</Figure>
        )}
      </Box>
      <AirChart
        title="Temperature"
        aside={meanWords}
        label={`Temperature: ${meanWords}. ${air.events.length} events.`}
        air={air}
        colour="var(--mui-palette-secondary-main)"
        height={230}
        mean={(point) => point.celsius}
        low={(point) => point.celsiusMin}
        high={(point) => point.celsiusMax}
        levels={[
          { value: air.setCelsius, name: 'set' },
          { value: 5, name: `${units.temperature(5)}`, act: true },
        ]}
        margin={0.5}
        axis={units.axes.temperature}
      />
      <AirChart
        title="Humidity"
        aside={meanHumidity}
        label={`Humidity: ${meanHumidity}.`}
        air={air}
        colour="var(--mui-palette-primary-main)"
        height={170}
        mean={(point) => point.humidityPercent}
        low={(point) => point.humidityMin}
        high={(point) => point.humidityMax}
        levels={[{ value: air.setHumidityPercent, name: 'set' }]}
        margin={4}
        axis={inUnit('%')}
      />
      <AirChart
        title="Drying power"
        aside="what draws water out of bare meat: (a − RH) × saturation pressure"
        label="Drying power over the same time, in pascals."
        air={air}
        colour="var(--mui-palette-text-primary)"
        height={130}
        mean={(point) => point.drivePascal}
        margin={10}
        axis={inUnit('Pa')}
      />
    </Box>
  );
}

function Ages({ id }: { id: string }) {
  const units = useUnits();
  const ages = useAges(id);
  if (!ages.data || ages.data.length === 0) {
    return null;
  }
  return (
    <Box component="section" aria-labelledby="ages">
      <Typography id="ages" variant="h2">
        What hangs here
      </Typography>
      <Typography variant="body2" sx={{ color: 'text.secondary', mb: 0.5 }}>
        {units.sentence('Days by the calendar, and days at ⟦temperature 0⟧ that would age it as much.')}
      </Typography>
      {ages.data.map((each) => (
        <Box
          key={each.id}
          sx={{ display: 'flex', gap: 1.5, borderTop: '1px solid', borderColor: 'divider', py: 0.75 }}
        >
          <Typography
            component={Link}
            to={`/pieces/${each.id}`}
            sx={{ typography: 'h3', width: '3.2rem', color: 'text.primary' }}
          >
            {each.tag}
          </Typography>
          <Typography sx={{ flex: 1 }}>{each.cutName}</Typography>
          <Typography sx={{ fontVariantNumeric: 'tabular-nums', whiteSpace: 'nowrap' }}>
            {days(each.dayNumber)} <strong>{figure(each.equivalentDays, 1)}</strong>
          </Typography>
        </Box>
      ))}
    </Box>
  );
}
