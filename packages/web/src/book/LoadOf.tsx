import { Link } from 'react-router';
import type { Load } from '@ythrion/core';
import { useOrder } from '../studio/queries';

/** Which load of an order a batch is, and where the others are. */
export function LoadOf({ load: { order, name, pieces, count, load } }: { load: Load }) {
  const { data } = useOrder(order);
  const others = data?.loads.filter((one) => one.load !== load) ?? [];
  return (
    <>
      Load {load} of the order {name}: {count} of {pieces}.
      {others.length > 0 && (
        <>
          {' Beside it: '}
          {others.map((one, i) => (
            <span key={one.batch}>
              {i > 0 && ', '}
              <Link to={`/book/${one.batch}`}>load {one.load}</Link> ({one.count}
              {one.outcome !== null && `, ${one.outcome}`})
            </span>
          ))}
          .
        </>
      )}
      {data && data.left > 0 && (
        <>
          {' '}
          <Link to={`/colorways/order?order=${order}`}>{data.left} to come</Link>.
        </>
      )}{' '}
    </>
  );
}
