import { useEffect } from 'react';
import { useQuery } from '@tanstack/react-query';
import { API, byBands, type ColorsResponse } from '@ythrion/core';
import { ask } from '../api/client';
import { paintYarn } from '../parts/yarn/painting';
import { KEYS } from './queries';

/**
 * The colors of the shelf as its samples give them; null where nothing was measured, undefined until that is known. While
 * a screen asks for them, yarn is painted by them; the bench does not ask, and draws by picked colors until somebody has.
 */
export function useShelfColors(): ColorsResponse | undefined {
  const { data } = useQuery({ queryKey: KEYS.colors, queryFn: () => ask<ColorsResponse>(API.colors) });
  useEffect(() => {
    if (data === null) paintYarn(byBands);
    if (!data) return;
    void import('./measured').then(({ paintBySamples }) => paintBySamples(data));
  }, [data]);
  return data;
}
