import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Schema } from '../api/client';
import { RecipeDialog } from './RecipeDialog';

interface Props {
  recipes: Schema['RecipeView'][];
  kinds: Schema['TreatmentView'][];
}

/** What the workshop mixes itself. */
export function Recipes({ recipes, kinds }: Props) {
  const [writing, setWriting] = useState<Schema['RecipeView'] | 'new' | null>(null);
  return (
    <Box component="section" aria-labelledby="recipes" sx={{ mt: 5, maxWidth: 760 }}>
      <Typography id="recipes" variant="h2" sx={{ mb: 1 }}>
        Your own recipes
      </Typography>
      {recipes.length === 0 && (
        <Typography sx={{ color: 'text.secondary' }}>
          None yet. Write one down in parts by weight, and it is scaled to every piece.
        </Typography>
      )}
      {recipes.map((recipe) => (
        <Box
          key={recipe.id}
          sx={{
            display: 'flex',
            alignItems: 'baseline',
            gap: 2,
            py: 0.75,
            borderTop: '1px solid',
            borderColor: 'divider',
          }}
        >
          <Typography sx={{ fontWeight: 620 }}>{recipe.name}</Typography>
          <Typography variant="body2" sx={{ flex: 1, color: 'text.secondary' }}>
            {recipe.kindLabel.toLowerCase()}, {recipe.dose};{' '}
            {recipe.parts.map((part) => `${part.parts} ${part.name}`).join(' · ')}
          </Typography>
          <Button size="small" onClick={() => setWriting(recipe)} aria-label={`Change ${recipe.name}`}>
            Change
          </Button>
        </Box>
      ))}
      <Button variant="outlined" sx={{ mt: 1.5 }} onClick={() => setWriting('new')}>
        Write a recipe
      </Button>
      {writing && (
        <RecipeDialog
          recipe={writing === 'new' ? null : writing}
          kinds={kinds}
          onClose={() => setWriting(null)}
        />
      )}
    </Box>
  );
}
