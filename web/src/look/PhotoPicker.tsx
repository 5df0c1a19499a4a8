import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useEffect, useMemo } from 'react';

/** Pictures that go with a look; on a phone it opens the camera. */
export function PhotoPicker({ photos, onChange }: { photos: File[]; onChange: (photos: File[]) => void }) {
  const shown = useMemo(() => photos.map((photo) => URL.createObjectURL(photo)), [photos]);
  useEffect(() => () => shown.forEach((each) => URL.revokeObjectURL(each)), [shown]);
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, flexWrap: 'wrap' }}>
      <Button component="label" color="inherit" variant="outlined" sx={{ minHeight: 48 }}>
        Take a picture
        <input
          type="file"
          accept="image/jpeg,image/png"
          capture="environment"
          aria-label="Picture of the piece"
          style={{ position: 'absolute', width: 1, height: 1, opacity: 0 }}
          onChange={(event) => {
            onChange([...photos, ...(event.target.files ?? [])]);
            event.target.value = '';
          }}
        />
      </Button>
      {shown.map((address, index) => (
        <Button
          key={address}
          color="inherit"
          aria-label={`Leave picture ${index + 1} out`}
          onClick={() => onChange(photos.filter((_, each) => each !== index))}
          sx={{ p: 0.5 }}
        >
          <img src={address} alt="" style={{ height: 64, display: 'block' }} />
        </Button>
      ))}
    </Box>
  );
}
