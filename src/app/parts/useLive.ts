import { useEffect, useState } from 'react';
import { follow, type Query } from '../../store/ask.ts';
import { useAppSelector } from '../../store/store.ts';

/**
 * What a query of the database gives, kept up to date; undefined until it has answered. A query that fails is
 * told to the page and asked again once storage answers, or when the maker asks. The query must be the same
 * function from drawing to drawing.
 */
export function useLive<T>(query: Query<T>): T | undefined {
  const attempt = useAppSelector((s) => s.keeping.attempt);
  const [answer, setAnswer] = useState<T>();
  useEffect(() => follow(query, setAnswer), [query, attempt]);
  return answer;
}
