import { useSearchParams } from 'react-router';
import { useFirstTasting, useTasters, useTastingChoices } from '../api/tastings';
import { Page, Waiting } from '../kit/Page';
import { TastingForm } from './TastingForm';

/** A new tasting: what is asked, of whom, of which samples, and how it is cooked. */
export default function NewTastingPage() {
  const [search] = useSearchParams();
  const trialId = search.get('trial');
  const choices = useTastingChoices();
  const tasters = useTasters();
  const pieces = search.getAll('piece');
  const first = useFirstTasting(trialId, pieces);
  if (!choices.data || !tasters.data || !first.data) {
    return <Waiting failure={choices.error ?? tasters.error ?? first.error} />;
  }
  return (
    <Page title="New tasting">
      <TastingForm key={search.toString()} first={first.data} choices={choices.data} known={tasters.data} />
    </Page>
  );
}
