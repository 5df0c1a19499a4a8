import { evidenceQuery, type Ask } from './ask';
import { QueryClient, useQuery } from '@tanstack/react-query';
import { unitsFor } from '../kit/reader';
import { answer, api, Problem, writeQuantitiesWith, type Schema } from './client';

export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 10_000,
      retry: (count, failure) => count < 2 && failure instanceof Problem && failure.status === 0,
    },
  },
});

writeQuantitiesWith(unitsFor(undefined).sentence);

/** Who is signed in; from then on, what the server says is written in their units. */
const session = {
  queryKey: ['session'],
  queryFn: async () => {
    const answered = await answer(api.GET('/api/session'));
    writeQuantitiesWith(unitsFor(answered.me).sentence);
    return answered;
  },
};

export const useSession = () => useQuery({ ...session, staleTime: 60_000 });

export const useRoom = () =>
  useQuery({ queryKey: ['room'], queryFn: () => answer(api.GET('/api/room')), refetchInterval: 60_000 });

/** Lots that hang nowhere yet; never from memory, as what is chosen first is kept in a form. */
export const useUncutLots = () =>
  useQuery({
    queryKey: ['lots', 'uncut'],
    queryFn: async () => {
      const { today, due } = await answer(api.GET('/api/room'));
      return { today, lots: due.filter(({ work }) => work === 'HANG') };
    },
    gcTime: 0,
  });

export const useCuts = () =>
  useQuery({ queryKey: ['cuts'], queryFn: () => answer(api.GET('/api/cuts')), staleTime: Infinity });

/** Every caution, by topic of the guide. */
export const useCautions = () =>
  useQuery({
    queryKey: ['cautions'],
    queryFn: () => answer(api.GET('/api/cautions')),
    staleTime: Infinity,
  });

export const useMethods = () =>
  useQuery({ queryKey: ['methods'], queryFn: () => answer(api.GET('/api/methods')), staleTime: Infinity });

export const useSuppliers = () =>
  useQuery({ queryKey: ['suppliers'], queryFn: () => answer(api.GET('/api/suppliers')) });

export const useChambers = () =>
  useQuery({ queryKey: ['chambers'], queryFn: () => answer(api.GET('/api/chambers')) });

/** The air of a chamber in the hours up to now; as many points as a screen shows apart. */
export const useAir = (id: string, hours: number) =>
  useQuery({
    queryKey: ['air', id, hours],
    queryFn: () => {
      const to = new Date();
      const from = new Date(to.getTime() - hours * 3_600_000);
      return answer(
        api.GET('/api/chambers/{id}/air', {
          params: { path: { id }, query: { from: from.toISOString(), to: to.toISOString(), points: 400 } },
        }),
      );
    },
    refetchInterval: 60_000,
    placeholderData: (before) => before,
  });

export const useAges = (id: string) =>
  useQuery({
    queryKey: ['ages', id],
    queryFn: () => answer(api.GET('/api/chambers/{id}/ages', { params: { path: { id } } })),
  });

export const useDevices = () =>
  useQuery({ queryKey: ['devices'], queryFn: () => answer(api.GET('/api/devices')) });

export const useLots = () => useQuery({ queryKey: ['lots'], queryFn: () => answer(api.GET('/api/lots')) });

export const useLot = (id: string) =>
  useQuery({
    queryKey: ['lots', id],
    queryFn: () => answer(api.GET('/api/lots/{id}', { params: { path: { id } } })),
  });

export const pieceQuery = (id: string) => ({
  queryKey: ['pieces', id],
  queryFn: () => answer(api.GET('/api/pieces/{id}', { params: { path: { id } } })),
});

export const usePiece = (id: string) => useQuery(pieceQuery(id));

/** Every look at a piece, the newest first. */
export const useLooks = (id: string) =>
  useQuery({
    queryKey: ['looks', id],
    queryFn: () => answer(api.GET('/api/pieces/{id}/looks', { params: { path: { id } } })),
  });

export const usePieceRecord = (id: string) =>
  useQuery({
    queryKey: ['record', id],
    queryFn: () => answer(api.GET('/api/pieces/{id}/record', { params: { path: { id } } })),
  });

export const useChamberRecord = (id: string, from: string, to: string) =>
  useQuery({
    queryKey: ['record', id, from, to],
    queryFn: () =>
      answer(api.GET('/api/chambers/{id}/record', { params: { path: { id }, query: { from, to } } })),
    placeholderData: (before) => before,
    retry: false,
  });

export const useInspectionRules = () =>
  useQuery({
    queryKey: ['inspection-rules'],
    queryFn: () => answer(api.GET('/api/inspection-rules')),
    staleTime: Infinity,
  });

export const useCutPieces = () =>
  useQuery({ queryKey: ['pieces', 'cut'], queryFn: () => answer(api.GET('/api/pieces/cut')) });

export const useTagged = (tag: string) =>
  useQuery({
    queryKey: ['tagged', tag],
    queryFn: () => answer(api.GET('/api/pieces', { params: { query: { tag } } })),
    enabled: tag !== '',
    placeholderData: (before) => before,
  });

export const useBench = (pieceId: string) =>
  useQuery({
    queryKey: ['bench', pieceId],
    queryFn: () => answer(api.GET('/api/bench/{pieceId}', { params: { path: { pieceId } } })),
    retry: false,
  });

/** Steaks of a thickness, or of a weight; the answer before stays until the next is there. */
export const useSteaks = (
  pieceId: string,
  query: { thicknessMm?: number; gramsEach?: number; lengthMm?: number; saw: boolean; endMm: number },
) =>
  useQuery({
    queryKey: ['steaks', pieceId, query],
    queryFn: () => answer(api.GET('/api/bench/{pieceId}/steaks', { params: { path: { pieceId }, query } })),
    enabled: query.thicknessMm !== undefined || query.gramsEach !== undefined,
    placeholderData: (before) => before,
    retry: false,
    gcTime: 30_000,
  });

export const useBenchLessons = () =>
  useQuery({ queryKey: ['bench lessons'], queryFn: () => answer(api.GET('/api/bench-lessons')) });

export const useComparison = (pieces: string[]) =>
  useQuery({
    queryKey: ['compare', pieces],
    queryFn: () => answer(api.GET('/api/compare', { params: { query: { pieces } } })),
    enabled: pieces.length >= 2,
    placeholderData: (before) => before,
  });

export const useEvidence = (ask: Ask) =>
  useQuery({
    queryKey: ['evidence', ask],
    queryFn: () => answer(api.GET('/api/evidence', { params: { query: evidenceQuery(ask) } })),
    placeholderData: (before) => before,
  });

export const useAsks = () => useQuery({ queryKey: ['asks'], queryFn: () => answer(api.GET('/api/asks')) });

export const usePreparation = (pieceId: string) =>
  useQuery({
    queryKey: ['preparation', pieceId],
    queryFn: () => answer(api.GET('/api/pieces/{pieceId}/preparation', { params: { path: { pieceId } } })),
  });

export const useTasks = (days: number) =>
  useQuery({
    queryKey: ['tasks', days],
    queryFn: () => answer(api.GET('/api/tasks', { params: { query: { days } } })),
  });

export const usePlans = () => useQuery({ queryKey: ['plans'], queryFn: () => answer(api.GET('/api/plans')) });

/** What would become of a scenario; the one before stays on screen until the answer is there. */
export const useForward = (body: Schema['ScenarioForm'] | null) =>
  useQuery({
    queryKey: ['plan', 'forward', body],
    queryFn: ({ signal }) =>
      answer(api.POST('/api/plan/forward', { body: body as Schema['ScenarioForm'], signal })),
    enabled: body !== null,
    placeholderData: (before) => before,
    retry: false,
    gcTime: 30_000,
  });

export const useWorth = (body: Schema['WorthForm'] | null) =>
  useQuery({
    queryKey: ['plan', 'worth', body],
    queryFn: ({ signal }) =>
      answer(api.POST('/api/plan/worth', { body: body as Schema['WorthForm'], signal })),
    enabled: body !== null,
    placeholderData: (before) => before,
    retry: false,
    gcTime: 30_000,
  });

/** What a table of the past would bring. */
export const usePastPreview = (body: Schema['PastForm'] | null) =>
  useQuery({
    queryKey: ['past', body],
    queryFn: ({ signal }) =>
      answer(api.POST('/api/past/preview', { body: body as Schema['PastForm'], signal })),
    enabled: body !== null,
    placeholderData: (before) => before,
    retry: false,
    gcTime: 30_000,
  });

export const useRooms = (body: Schema['RoomForm'] | null) =>
  useQuery({
    queryKey: ['plan', 'room', body],
    queryFn: ({ signal }) => answer(api.POST('/api/plan/room', { body: body as Schema['RoomForm'], signal })),
    enabled: body !== null,
    placeholderData: (before) => before,
    retry: false,
    gcTime: 30_000,
  });

export const useCalendarFeed = () =>
  useQuery({ queryKey: ['calendar'], queryFn: () => answer(api.GET('/api/me/calendar')) });

export const useWorkshop = () =>
  useQuery({ queryKey: ['workshop'], queryFn: () => answer(api.GET('/api/workshop')) });

export const usePeople = (mayAsk: boolean) =>
  useQuery({ queryKey: ['people'], queryFn: () => answer(api.GET('/api/people')), enabled: mayAsk });

/** After anything was written: all that is on screen is read afresh. */
export const refresh = () => queryClient.invalidateQueries();

export const useTreatments = () =>
  useQuery({
    queryKey: ['treatments'],
    queryFn: () => answer(api.GET('/api/treatments')),
    staleTime: Infinity,
  });

/** How much of a treatment a piece gets; the answer before stays on screen until the next is there. */
export const useScaled = (body: Schema['TreatmentPlan'] | null) =>
  useQuery({
    queryKey: ['treatments', 'scaled', body],
    queryFn: ({ signal }) =>
      answer(api.POST('/api/treatments/scaled', { body: body as Schema['TreatmentPlan'], signal })),
    enabled: body !== null,
    networkMode: 'always', // without a network it fails and says so; a dose of something else must not stay on screen
    placeholderData: (before) => before,
    retry: false,
  });

export const useRecipes = () =>
  useQuery({ queryKey: ['recipes'], queryFn: () => answer(api.GET('/api/recipes')) });

/** What was given to a piece. */
export const useGiven = (pieceId: string) =>
  useQuery({
    queryKey: ['given', pieceId],
    queryFn: () => answer(api.GET('/api/pieces/{pieceId}/treatments', { params: { path: { pieceId } } })),
  });

export const useTrials = () =>
  useQuery({ queryKey: ['trials'], queryFn: () => answer(api.GET('/api/trials')) });

export const useTrial = (id: string, wanted = true) =>
  useQuery({
    queryKey: ['trials', id],
    queryFn: () => answer(api.GET('/api/trials/{id}', { params: { path: { id } } })),
    enabled: wanted,
  });

export const useLessons = () =>
  useQuery({ queryKey: ['trials', 'lessons'], queryFn: () => answer(api.GET('/api/trials/lessons')) });

export const useFactors = () =>
  useQuery({
    queryKey: ['trials', 'factors'],
    queryFn: () => answer(api.GET('/api/trials/factors')),
    staleTime: Infinity,
  });

/** What weakens a trial that is only planned; the answer before stays on screen until the next is there. */
export const useDesignCheck = (body: Schema['TrialForm'] | null) =>
  useQuery({
    queryKey: ['trials', 'check', body],
    queryFn: ({ signal }) =>
      answer(api.POST('/api/trials/check', { body: body as Schema['TrialForm'], signal })),
    enabled: body !== null,
    placeholderData: (before) => before,
    retry: false,
    gcTime: 30_000,
  });

export const useTastings = () =>
  useQuery({ queryKey: ['tastings'], queryFn: () => answer(api.GET('/api/tastings')) });

/** A tasting; while sheets come in it is read every few seconds. */
export const useTasting = (id: string) =>
  useQuery({
    queryKey: ['tastings', id],
    queryFn: () => answer(api.GET('/api/tastings/{id}', { params: { path: { id } } })),
    refetchInterval: (query) => (query.state.data?.state === 'OPEN' ? 3000 : false),
  });

export const useTastingChoices = () =>
  useQuery({
    queryKey: ['tastings', 'choices'],
    queryFn: () => answer(api.GET('/api/tastings/choices')),
    staleTime: Infinity,
  });

export const useTasters = () =>
  useQuery({ queryKey: ['tastings', 'tasters'], queryFn: () => answer(api.GET('/api/tastings/tasters')) });

export const useStrengths = () =>
  useQuery({
    queryKey: ['tastings', 'strengths'],
    queryFn: () => answer(api.GET('/api/tastings/strengths')),
  });

export const useNotes = (words: string) =>
  useQuery({
    queryKey: ['tastings', 'notes', words],
    queryFn: () => answer(api.GET('/api/tastings/notes', { params: { query: { words } } })),
    enabled: words.trim() !== '',
    placeholderData: (before) => before,
  });

/** What a tasting that is only planned can show; the answer before stays until the next is there. */
export const usePanelCheck = (body: Schema['TastingForm'] | null) =>
  useQuery({
    queryKey: ['tastings', 'check', body],
    queryFn: ({ signal }) =>
      answer(api.POST('/api/tastings/check', { body: body as Schema['TastingForm'], signal })),
    enabled: body !== null,
    placeholderData: (before) => before,
    retry: false,
    gcTime: 30_000,
  });

export const useStock = () => useQuery({ queryKey: ['stock'], queryFn: () => answer(api.GET('/api/stock')) });

export const usePacksOf = (pieceId: string) =>
  useQuery({
    queryKey: ['packs of', pieceId],
    queryFn: () => answer(api.GET('/api/pieces/{pieceId}/packs', { params: { path: { pieceId } } })),
  });

export const usePack = (id: string) =>
  useQuery({
    queryKey: ['packs', id],
    queryFn: () => answer(api.GET('/api/packs/{id}', { params: { path: { id } } })),
  });

export const useAnimals = () =>
  useQuery({ queryKey: ['animals'], queryFn: () => answer(api.GET('/api/animals')), staleTime: Infinity });

export const useCarcasses = () =>
  useQuery({ queryKey: ['carcasses'], queryFn: () => answer(api.GET('/api/carcasses')) });

export const useCarcass = (id: string) =>
  useQuery({
    queryKey: ['carcasses', id],
    queryFn: () => answer(api.GET('/api/carcasses/{id}', { params: { path: { id } } })),
    retry: false,
  });

export const useMakings = () =>
  useQuery({ queryKey: ['makings'], queryFn: () => answer(api.GET('/api/makings')) });

export const useMaking = (id: string) =>
  useQuery({
    queryKey: ['makings', id],
    queryFn: () => answer(api.GET('/api/makings/{id}', { params: { path: { id } } })),
  });

/** What is to be expected of so much fat. */
export const useTallow = (grams: number) =>
  useQuery({
    queryKey: ['tallow', grams],
    queryFn: () => answer(api.GET('/api/stock/tallow', { params: { query: { grams } } })),
    enabled: grams > 0,
    placeholderData: (before) => before,
    gcTime: 30_000,
  });

export const useRecall = (lotId: string) =>
  useQuery({
    queryKey: ['recall', lotId],
    queryFn: () => answer(api.GET('/api/lots/{id}/recall', { params: { path: { id: lotId } } })),
  });

export const useLabelSizes = () =>
  useQuery({
    queryKey: ['label sizes'],
    queryFn: () => answer(api.GET('/api/label-sizes')),
    staleTime: Infinity,
  });

/** The cheapest grind of what is there; the answer before stays until the next is there. */
export const useBlend = (body: Schema['BlendForm'] | null) =>
  useQuery({
    queryKey: ['blend', body],
    queryFn: ({ signal }) =>
      answer(api.POST('/api/stock/blend', { body: body as Schema['BlendForm'], signal })),
    enabled: body !== null,
    placeholderData: (before) => before,
    retry: false,
    gcTime: 30_000,
  });
