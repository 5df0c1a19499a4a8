import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { focusFirst } from '../kit/focus';
import type { PieceView } from '../api/client';
import { usePiece } from '../api/pieces';
import { Figure } from '../kit/Figure';
import { Page, Waiting } from '../kit/Page';
import { describeSection, SectionGlyph, SHOWN } from '../kit/SectionGlyph';
import { date, days, percent, useUnits } from '../kit/units';
import { WeightBar } from '../kit/WeightBar';
import { ShareButton } from '../share/ShareDialog';
import { roleWords } from '../kit/words';
import { Workings } from '../kit/Workings';
import { Apart } from './Apart';
import { EntryDialog } from './EntryDialog';
import type { EntryKind } from './EntryPanel';
import { Events } from './Events';
import { HangDialog } from './HangDialog';
import { PieceLog } from './PieceLog';
import { LabelButton } from '../stock/LabelButton';
import { Target } from './Target';
import { AtTheTarget, DriftNotice, ExpectedAndFound, Reach } from './Ahead';
import { ForecastCurve } from './ForecastCurve';
import { HideOff } from '../carcass/HideOff';
import { OnIce } from '../carcass/OnIce';
import { PhotoStory } from '../photo/PhotoStory';
import { Next } from './Next';
import { Given } from '../treatment/Given';
import { GiveDialog } from '../treatment/GiveDialog';
import { neverWeighed, weighedAgo } from '../kit/weighed';

/** Is it drying as it should, and what happened to it. */
export default function PiecePage() {
  const { id = '' } = useParams();
  const piece = usePiece(id);
  if (!piece.data) {
    return <Waiting failure={piece.error} />;
  }
  return <PieceSheet key={id} piece={piece.data} />;
}

function PieceSheet({ piece }: { piece: PieceView }) {
  const { card } = piece;
  const [doing, setDoing] = useState<EntryKind | null>(null);
  const [asked] = useSearchParams();
  const [treating, setTreating] = useState(asked.has('treat'));
  const [hanging, setHanging] = useState(false);
  const actions = useRef<HTMLDivElement>(null);
  const was = useRef(card.state);
  useEffect(() => {
    // What was pressed to pull it is gone: what comes next has the keys.
    if (was.current !== card.state) {
      was.current = card.state;
      focusFirst(actions.current);
    }
  }, [card.state]);
  const place =
    card.state === 'HANGING'
      ? `${card.chamberName}, rail ${card.rail}, place ${card.slot}`
      : card.state === 'WAITING'
        ? 'does not hang yet'
        : card.chamberName;
  return (
    <Page
      title={`${card.tag} ${card.cutName}${card.count > 1 ? `, ${card.count} as one` : ''}`}
      aside={
        <Typography sx={{ color: 'text.secondary' }}>
          {[roleWords[card.role], card.methodLabel?.toLowerCase(), place, card.grade, card.supplier]
            .filter(Boolean)
            .join(', ')}
        </Typography>
      }
    >
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '300px minmax(0, 1fr)' },
          gridTemplateAreas: { xs: '"do" "picture" "rest"', md: '"picture do" "picture rest"' },
          gridTemplateRows: { md: 'auto 1fr' },
          columnGap: 5,
          rowGap: 3,
        }}
      >
        {/* What can be done comes first: on a phone it lies above the picture. */}
        <Box ref={actions} sx={{ display: 'grid', gap: 3, minWidth: 0, gridArea: 'do' }}>
          <Overdue piece={piece} />
          <Actions
            piece={piece}
            onDo={setDoing}
            onTreat={() => setTreating(true)}
            onHang={() => setHanging(true)}
          />
        </Box>
        <Box sx={{ gridArea: 'picture' }}>
          <Box sx={{ display: 'grid', placeItems: 'center' }}>
            {card.state === 'HANGING' && <Box sx={{ width: 2, height: 16, bgcolor: 'rail' }} />}
            <SectionGlyph
              shape={card.shape}
              section={card.section}
              size={230}
              title={describeSection(card.section)}
            />
          </Box>
          <SectionKey piece={piece} />
        </Box>
        <Box sx={{ display: 'grid', gap: 3, minWidth: 0, gridArea: 'rest' }}>
          {card.state === 'HANGING' && piece.ahead?.driftAdvice && (
            <DriftNotice advice={piece.ahead.driftAdvice} />
          )}
          {piece.beside.map((sentence) => (
            <Typography
              key={sentence}
              sx={{ borderLeft: '6px solid', borderColor: 'warning.main', pl: 2, fontWeight: 560 }}
            >
              {sentence}
            </Typography>
          ))}
          {card.state === 'HANGING' && <Next pieceId={card.id} />}
          <Facts piece={piece} />
          <OnIce key={piece.version} piece={piece} />
          <ForecastCurve piece={piece} />
          {card.state === 'HANGING' && piece.ahead && (
            <>
              <AtTheTarget piece={piece} ahead={piece.ahead} />
              <Reach piece={piece} />
            </>
          )}
          {card.state === 'CUT' && piece.plan && <ExpectedAndFound piece={piece} plan={piece.plan} />}
          {card.state === 'CUT' && (
            <Box>
              <Typography variant="h2" sx={{ mb: 1 }}>
                Where the weight went
              </Typography>
              <WeightBar
                ledger={piece.ledger}
                scaleGrams={piece.ledger.greenGrams}
                height={46}
                name={card.tag}
              />
            </Box>
          )}
          <PhotoStory card={card} />
          <Given piece={piece} onCoat={() => setDoing('COAT_ON')} />
          <PieceLog piece={piece} />
          <Workings workings={piece.workings} />
        </Box>
      </Box>
      {treating && <GiveDialog piece={piece} kind={asked.get('treat')} onClose={() => setTreating(false)} />}
      {hanging && <HangDialog piece={piece} onClose={() => setHanging(false)} />}
      {doing && <EntryDialog pieceId={card.id} kind={doing} onClose={() => setDoing(null)} />}
    </Page>
  );
}

function Overdue({ piece: { card } }: { piece: PieceView }) {
  if (card.overdueDays === 0) {
    return null;
  }
  return (
    <Typography
      sx={{
        bgcolor: 'warning.main',
        color: 'warning.contrastText',
        px: 2,
        py: 1,
        fontWeight: 680,
        fontSize: '1.1rem',
      }}
    >
      {days(card.overdueDays)} past its target. Pull it, or give it a new target.
    </Typography>
  );
}

const nowNames: Partial<Record<PieceView['card']['state'], string>> = {
  HANGING: 'Last weighed',
  WAITING: 'As it was cut',
  FRESH: 'As it was cut',
};

function Facts({ piece }: { piece: PieceView }) {
  const units = useUnits();
  const { card } = piece;
  const working = (name: string) => piece.workings.find((each) => each.name === name);
  const guessed = neverWeighed(card);
  const expected =
    card.expectedNowGrams == null ? null : `${units.about(card.expectedNowGrams)} expected now`;
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(130px, 1fr))', gap: 2 }}>
      <Figure
        name={guessed ? 'As it was hung' : (nowNames[card.state] ?? 'Aged weight')}
        note={[guessed ? 'never weighed since' : weighedAgo(card), expected].filter(Boolean).join('; ')}
        big
      >
        {units.weight(card.nowGrams)}
      </Figure>
      {card.hungOn && (
        <Figure
          name="Shrink"
          working={working('Shrink')}
          note={
            guessed
              ? 'by the forecast; a weight will tell'
              : `${units.weight(card.shrinkGrams)} of ${units.weight(card.greenGrams)}`
          }
          big
        >
          {guessed && card.expectedLost != null
            ? `≈ ${percent(card.expectedLost)}`
            : percent(card.shrinkFraction)}
        </Figure>
      )}
      {card.dayNumber != null && (
        <Figure
          name={card.state === 'HANGING' ? 'Day' : 'Hung'}
          note={[piece.ahead?.now.style, card.hungOn && `since ${date(card.hungOn)}`]
            .filter(Boolean)
            .join(', ')}
          big
        >
          {card.state === 'HANGING' ? `${card.dayNumber} of ${card.targetDays}` : days(card.dayNumber)}
        </Figure>
      )}
      {piece.perDayGrams != null && <Figure name="Lost a day">{units.small(piece.perDayGrams)}</Figure>}
      <Figure
        name="Cost so far"
        note={
          piece.cost.total == null
            ? `nobody wrote down what the lot cost; ${units.money(piece.cost.besides)} besides the meat`
            : `bag, chamber, energy and labour add ${units.pricePer(piece.cost.besidesPerKg)} to the price of the meat`
        }
        working={working('Landed cost')}
      >
        {piece.cost.total == null ? 'not known' : units.money(piece.cost.total)}
      </Figure>
      {piece.cost.perKgSteak != null && (
        <Figure name="Cost of the steak" working={working('Cost per kg steak')}>
          {units.pricePer(piece.cost.perKgSteak)}
        </Figure>
      )}
    </Box>
  );
}

interface ActionsProps {
  piece: PieceView;
  onDo: (kind: EntryKind) => void;
  onTreat: () => void;
  onHang: () => void;
}

function Actions({ piece, onDo, onTreat, onHang }: ActionsProps) {
  const { card } = piece;
  const hanging = card.state === 'HANGING';
  const due = hanging && (card.dayNumber ?? 0) >= (card.targetDays ?? Infinity);
  return (
    <Box className="no-print" sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
      {hanging && (
        <>
          <Button variant={due ? 'outlined' : 'contained'} onClick={() => onDo('WEIGHED')}>
            Weigh
          </Button>
          <Button variant={due ? 'contained' : 'outlined'} color="warning" onClick={() => onDo('PULLED')}>
            Pull
          </Button>
          <Button variant="outlined" component={Link} to={`/look?piece=${card.id}`}>
            Look
          </Button>
        </>
      )}
      {card.state === 'WAITING' && (
        <Button variant="contained" onClick={onHang}>
          Hang it
        </Button>
      )}
      {card.state === 'FRESH' && (
        <Button variant="contained" onClick={() => onDo('PULLED')}>
          Weigh it for the bench
        </Button>
      )}
      {(card.state === 'PULLED' || card.state === 'CUT') && (
        <Button variant="contained" component={Link} to={`/bench/${card.id}`}>
          {card.state === 'CUT' ? 'See the bench' : 'Cut it'}
        </Button>
      )}
      {card.coatGrams > 0 && card.state !== 'CUT' && (
        <Button onClick={() => onDo('COAT_OFF')}>Coat off</Button>
      )}
      <Button onClick={() => onDo('NOTE')}>Note</Button>
      {hanging && <Events piece={piece} onDo={onDo} />}
      {hanging && piece.coating === 'HIDE' && <HideOff pieceId={card.id} />}
      {card.state !== 'FRESH' && card.state !== 'PARTED' && <Button onClick={onTreat}>Treat …</Button>}
      {card.state === 'PARTED' && (
        <Button
          variant="contained"
          component={Link}
          to={card.count > 1 ? `/lots/${card.lotId}` : `/carcass/${card.id}`}
        >
          See its parts
        </Button>
      )}
      {hanging && <Target piece={piece} />}
      <Apart piece={piece} />
      {card.dayNumber != null && (
        <Button component={Link} to={`/pieces/${card.id}/prepare`}>
          Preparation
        </Button>
      )}
      <Button component={Link} to={`/pieces/${card.id}/record`}>
        Record
      </Button>
      <Button component={Link} to={`/lots/${card.lotId}`}>
        Its lot
      </Button>
      {hanging && <LabelButton piece={card.id} />}
      <ShareButton what="PIECE" id={card.id} />
    </Box>
  );
}

function SectionKey({ piece: { card } }: { piece: PieceView }) {
  const { section } = card;
  const rows: [string, string, number][] = [
    ['part.steak', card.state === 'CUT' ? 'steak' : 'steak to come', section.steak],
    ['part.trim', 'crust and trim', section.crust],
    ['part.trim', 'spoilt in pockets', section.pockets],
    ['part.fat', 'fat', section.fat],
    ['part.bone', 'bone', section.bone],
  ];
  return (
    <Box component="ul" sx={{ listStyle: 'none', p: 0, mt: 2, mb: 0, maxWidth: 240, mx: 'auto' }}>
      {rows
        .filter(([, , share]) => share > SHOWN)
        .map(([colour, label, share]) => (
          <Box component="li" key={label} sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
            <Box
              sx={{ width: 12, height: 12, bgcolor: colour, border: '1px solid', borderColor: 'divider' }}
            />
            <Typography variant="body2" sx={{ flex: 1 }}>
              {label}
            </Typography>
            <Typography variant="body2">{percent(share)}</Typography>
          </Box>
        ))}
      <Typography
        component="li"
        variant="caption"
        sx={{ color: 'text.secondary', display: 'block', mt: 0.5 }}
      >
        of the green weight, the dashed outline
        {card.state === 'HANGING' && '; size now and crust by the forecast'}
      </Typography>
    </Box>
  );
}
