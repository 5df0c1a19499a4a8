import { useSearchParams } from 'react-router';
import { useChambers } from '../api/chambers';
import { useMethods } from '../api/pieces';
import { useUncutLots } from '../api/room';
import { useRecipes, useTreatments } from '../api/treatments';
import { useFactors, useMeasures, useNext, useProtocol } from '../api/trials';
import { Page, Waiting } from '../kit/Page';
import { TrialForm } from './TrialForm';

/** Put a question to a lot: the arms, what is done with each, and whether the design can answer it. */
export default function NewTrialPage() {
  const [search] = useSearchParams();
  const from = search.get('from');
  const longer = Number(search.get('days') ?? 0);
  const chosen = (search.get('arms') ?? '').split(',').map(Number);
  const taken = search.get('protocol');
  const before = useNext(from ?? '', longer, from !== null);
  const protocol = useProtocol(taken ?? '', taken !== null);
  const next = taken === null ? before : protocol;
  const kinds = useTreatments();
  const recipes = useRecipes();
  const methods = useMethods();
  const chambers = useChambers();
  const factors = useFactors();
  const measures = useMeasures();
  const uncut = useUncutLots();
  const ready =
    kinds.data &&
    recipes.data &&
    methods.data &&
    chambers.data &&
    factors.data &&
    measures.data &&
    uncut.data &&
    kinds.data[0];
  if (!ready || ((from !== null || taken !== null) && !next.data)) {
    return (
      <Waiting
        failure={
          next.error ??
          kinds.error ??
          recipes.error ??
          methods.error ??
          chambers.error ??
          factors.error ??
          measures.error ??
          uncut.error
        }
      />
    );
  }
  return (
    <Page title={taken !== null ? 'A trial by a protocol' : next.data ? 'The next trial' : 'New trial'}>
      <TrialForm
        key={search.toString()}
        chosen={chosen}
        next={next.data ?? null}
        known={{
          kinds: kinds.data,
          recipes: recipes.data,
          methods: methods.data,
          chambers: chambers.data,
          factors: factors.data,
          measures: measures.data,
          uncut: uncut.data.lots,
          today: uncut.data.today,
        }}
      />
    </Page>
  );
}
