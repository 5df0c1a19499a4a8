import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import type { SxProps, Theme } from '@mui/material/styles';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useController } from 'react-hook-form';
import type { Schema } from '../../api/client';
import { queryClient } from '../../api/house';
import { cutsQuery, useCuts } from '../../api/lots';
import { useName, useShared } from './group';
import { useRefusal } from './refused';

type Cut = Schema['CutView'];

interface Props {
  name: string;
  label?: string;
  required?: string;
  size?: 'small' | 'medium';
  sx?: SxProps<Theme>;
  className?: string;
  onPicked?: (cut: Cut | null) => void;
  autoFocus?: boolean;
}

const called = (cuts: Cut[], words: string): Cut[] =>
  cuts.filter((cut) =>
    `${cut.name} ${cut.otherNames} ${cut.speciesLabel} ${cut.imps ?? ''}`
      .toLowerCase()
      .includes(words.toLowerCase()),
  );

/** The cut, found by any name it goes by. */
export function CutField({
  name: own,
  label = 'Cut',
  required,
  size,
  sx,
  className,
  onPicked,
  autoFocus,
}: Props) {
  const cuts = useCuts().data ?? [];
  const { control } = useShared();
  const name = useName(own);
  const { field, fieldState } = useController({
    name,
    control,
    rules: { validate: (code: string) => !required || code !== '' || required },
  });
  const pick = (cut: Cut | null) => {
    field.onChange(cut?.code ?? '');
    onPicked?.(cut);
  };
  const wrong = useRefusal(name) ?? fieldState.error?.message;
  return (
    <Autocomplete
      options={cuts}
      autoHighlight
      size={size}
      sx={sx}
      className={className}
      groupBy={(cut) => cut.speciesLabel}
      getOptionLabel={(cut) => cut.name}
      isOptionEqualToValue={(one, other) => one.code === other.code}
      value={cuts.find(({ code }) => code === field.value) ?? null}
      filterOptions={(options, { inputValue }) => called(options, inputValue)}
      onChange={(_, cut) => pick(cut)}
      onKeyDown={(event) => {
        // Who types fast presses Enter before there is a list: the cut is found then.
        if (event.key === 'Enter' && cuts.length === 0 && event.target instanceof HTMLInputElement) {
          event.preventDefault();
          const words = event.target.value.trim();
          if (words !== '') {
            void queryClient.fetchQuery(cutsQuery).then((all) => pick(called(all, words)[0] ?? null));
          }
        }
      }}
      renderOption={(props, cut) => (
        <Box component="li" {...props} key={cut.code} sx={{ gap: 1 }}>
          <span>{cut.name}</span>
          <Typography component="span" variant="body2" sx={{ color: 'text.secondary' }}>
            {cut.otherNames}
            {cut.imps && `, IMPS ${cut.imps}`}
          </Typography>
        </Box>
      )}
      renderInput={(params) => (
        <TextField
          {...params}
          label={label}
          required={Boolean(required)}
          inputRef={field.ref}
          autoFocus={autoFocus}
          error={Boolean(wrong)}
          helperText={wrong}
        />
      )}
    />
  );
}
