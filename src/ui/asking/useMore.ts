import { useInfiniteQuery } from '@tanstack/react-query';
import { useId, useState } from 'react';
import { ask } from './ask';

/**
 * A list whose beginning comes with the page and which is read on from the server, page by page.
 * @param first the beginning; one that was made anew begins the list anew
 * @param next the address of what follows a page; null after the last
 */
export function useMore<Page>(first: Page, next: (page: Page) => string | null) {
  const list = useId();
  const [begun, setBegun] = useState({ first, times: 0 });
  if (begun.first !== first) setBegun({ first, times: begun.times + 1 });
  const { data, hasNextPage, isFetchingNextPage, isFetchNextPageError, fetchNextPage } = useInfiniteQuery({
    queryKey: ['more', list, begun.times],
    queryFn: ({ pageParam, signal }) => ask<Page>(pageParam, signal),
    initialPageParam: '',
    getNextPageParam: next,
    initialData: { pages: [first], pageParams: [''] },
    staleTime: Infinity,
    gcTime: 0,
  });
  return {
    pages: data.pages,
    hasMore: hasNextPage,
    isReading: isFetchingNextPage,
    failed: isFetchNextPageError,
    more: () => void fetchNextPage(),
  };
}
