import { useQuery } from '@tanstack/react-query';
import { useSearchParams } from 'react-router';
import { answer, api, type Schema } from '../api/client';
import { useChambers } from '../api/chambers';
import { useMethods } from '../api/pieces';
import { useUncutLots } from '../api/room';
import { useRecipes, useTreatments } from '../api/treatments';
import { useFactors } from '../api/trials';
import { Page, Waiting } from '../kit/Page';
import { TrialForm } from './TrialForm';

type Change = Schema['NextView']['change'];

/** Put a question to a lot: the arms, what is done with each, and whether the design can answer it. */
export default function NewTrialPage() {
  const [search] = useSearchParams();
  const from = search.get('from');
  const change = search.get('change') as Change | null;
  const next = useQuery({
    queryKey: ['trials', from, 'next', change],
    queryFn: () =>
      answer(
        api.GET('/api/trials/{id}/next/{change}', {
          params: { path: { id: from ?? '', change: change ?? 'AGAIN' } },
        }),
      ),
    enabled: from !== null,
  });
  const kinds = useTreatments();
  const recipes = useRecipes();
  const methods = useMethods();
  const chambers = useChambers();
  const factors = useFactors();
  const uncut = useUncutLots();
  const ready =
    kinds.data &&
    recipes.data &&
    methods.data &&
    chambers.data &&
    factors.data &&
    uncut.data &&
    kinds.data[0];
  if (!ready || (from !== null && !next.data)) {
    return (
      <Waiting
        failure={
          next.error ??
          kinds.error ??
          recipes.error ??
          methods.error ??
          chambers.error ??
          factors.error ??
          uncut.error
        }
      />
    );
  }
  return (
    <Page title={next.data ? `Next trial: ${next.data.changed}` : 'Ask a question'}>
      <TrialForm
        key={`${from} ${change}`}
        next={next.data ?? null}
        known={{
          kinds: kinds.data,
          recipes: recipes.data,
          methods: methods.data,
          chambers: chambers.data,
          factors: factors.data,
          uncut: uncut.data.lots,
          today: uncut.data.today,
        }}
      />
    </Page>
  );
}
