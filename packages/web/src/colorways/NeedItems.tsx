import { isShort, needName, needWords, type Need, type ShelfResponse } from '@ythrion/core';
import { Link } from 'react-router';

/** What must be there first, as items of a list; a jar that holds too little leads to where more is made. */
export const NeedItems = ({ needs, shelf }: { needs: readonly Need[]; shelf: ShelfResponse }) =>
  needs.map((need) => (
    <li key={JSON.stringify([need.what, 'stockId' in need ? need.stockId : '', needName(need, shelf.dyes)])}>
      {isShort(need) ? (
        <strong>{needWords(need, shelf.dyes, shelf.stocks)}</strong>
      ) : (
        needWords(need, shelf.dyes, shelf.stocks)
      )}
      {need.what === 'jar' && isShort(need) && (
        <>
          {' '}
          <Link to={`/shelf/stocks/${need.stockId}`}>Make more</Link>
        </>
      )}
    </li>
  ));
