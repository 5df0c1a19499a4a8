import { useSearchParams } from 'react-router';
import { useTasters, useTastingChoices } from '../api/tastings';
import { useTrial } from '../api/trials';
import { Page, Waiting } from '../kit/Page';
import { TastingForm } from './TastingForm';

/** Set a table: what is asked, of whom, of which samples, and how it is cooked. */
export default function NewTastingPage() {
  const [search] = useSearchParams();
  const trialId = search.get('trial');
  const choices = useTastingChoices();
  const tasters = useTasters();
  const trial = useTrial(trialId ?? '', trialId !== null);
  if (!choices.data || !tasters.data || (trialId !== null && !trial.data)) {
    return <Waiting failure={choices.error ?? tasters.error ?? trial.error} />;
  }
  return (
    <Page title="Set a table">
      <TastingForm key={trialId} trial={trial.data ?? null} choices={choices.data} known={tasters.data} />
    </Page>
  );
}
