import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Schema } from '../api/client';
import { usePhotos } from '../api/pieces';
import { moment, useUnits } from '../kit/units';
import { Beside } from './Beside';
import { dayAndWhat, likelyNow, photoOf, thumbnailOf, type Taken, type StoryPhoto } from './photos';
import { TakePhoto } from './TakePhoto';

/** The story of a piece in pictures: a strip by day, one large, two side by side, and its twin on the same day. */
export function PhotoStory({ card, shows }: { card: Schema['PieceCard']; shows?: Taken }) {
  const photos = usePhotos(card.id).data ?? [];
  const [shown, setShown] = useState<string | null>(null);
  const chosen = photos.find(({ id }) => id === shown);
  return (
    <Box component="section" aria-labelledby="photos" sx={{ display: 'grid', gap: 1.5, minWidth: 0 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
        <Typography id="photos" variant="h2">
          In pictures
        </Typography>
        <Box className="no-print">
          <TakePhoto
            pieceId={card.id}
            tag={card.tag}
            shows={shows ?? likelyNow(card.state, card.dayNumber ?? undefined)}
            lastId={photos.at(-1)?.id}
          />
        </Box>
      </Box>
      {photos.length > 0 && (
        <Box
          component="ol"
          aria-label="Photos by day"
          sx={{ m: 0, p: 0, pb: 1, ml: -0.75, listStyle: 'none', display: 'flex', gap: 1, overflowX: 'auto' }}
        >
          {photos.map((photo) => (
            <li key={photo.id}>
              <Frame
                pieceId={card.id}
                photo={photo}
                pressed={photo.id === shown}
                onPress={() => setShown(photo.id === shown ? null : photo.id)}
              />
            </li>
          ))}
        </Box>
      )}
      {chosen && <Large key={chosen.id} pieceId={card.id} photo={chosen} photos={photos} />}
    </Box>
  );
}

interface FrameProps {
  pieceId: string;
  photo: StoryPhoto;
  pressed: boolean;
  onPress: () => void;
}

function Frame({ pieceId, photo, pressed, onPress }: FrameProps) {
  const units = useUnits();
  return (
    <Button
      color="inherit"
      aria-pressed={pressed}
      onClick={onPress}
      sx={{
        display: 'grid',
        justifyItems: 'start',
        p: 0.5,
        width: 148,
        border: '2px solid',
        borderColor: pressed ? 'primary.main' : 'transparent',
        textAlign: 'left',
        textTransform: 'none',
      }}
    >
      <img
        src={thumbnailOf(pieceId, photo.id)}
        alt=""
        loading="lazy"
        style={{ width: 136, height: 102, objectFit: 'cover', display: 'block' }}
      />
      <Typography component="span" sx={{ fontWeight: 640, mt: 0.5 }}>
        {dayAndWhat(photo)}
      </Typography>
      <Typography component="span" variant="body2" sx={{ color: 'text.secondary' }}>
        {units.weight(photo.grams)}
      </Typography>
    </Button>
  );
}

interface LargeProps {
  pieceId: string;
  photo: StoryPhoto;
  photos: StoryPhoto[];
}

/** One picture large, beside another day of the piece or its twin on the same day. */
function Large({ pieceId, photo, photos }: LargeProps) {
  const [beside, setBeside] = useState('');
  const others = [
    ...photos
      .filter(({ id }) => id !== photo.id)
      .map((other) => ({ key: other.id, address: photoOf(pieceId, other.id), words: dayAndWhat(other) })),
    ...photo.twins.map((twin) => ({
      key: twin.photoId,
      address: photoOf(twin.pieceId, twin.photoId),
      words: `${twin.tag}, day ${twin.day}`,
    })),
  ];
  const other = others.find(({ key }) => key === beside);
  return (
    <Box sx={{ display: 'grid', gap: 1, maxWidth: 720 }}>
      {other ? (
        <Beside
          left={photoOf(pieceId, photo.id)}
          leftWords={dayAndWhat(photo)}
          right={other.address}
          rightWords={other.words}
        />
      ) : (
        <img src={photoOf(pieceId, photo.id)} alt={dayAndWhat(photo)} style={{ width: '100%' }} />
      )}
      <Typography>
        {moment(photo.at)}
        {photo.seen && `: ${photo.seen}`}
      </Typography>
      {others.length > 0 && (
        <Box role="group" aria-label="Beside it" sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
          <Typography sx={{ alignSelf: 'center' }}>Beside it:</Typography>
          {others.map(({ key, words }) => (
            <Button
              key={key}
              size="small"
              color="inherit"
              variant={key === beside ? 'contained' : 'outlined'}
              aria-pressed={key === beside}
              onClick={() => setBeside(key === beside ? '' : key)}
            >
              {words}
            </Button>
          ))}
        </Box>
      )}
    </Box>
  );
}
