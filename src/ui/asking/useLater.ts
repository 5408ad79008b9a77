import { useQuery } from '@tanstack/react-query';

/**
 * A piece of the screen that is fetched when it is wanted. A server that is away then takes nothing from what stands there: it is
 * said, and asked again.
 * @param name the piece, the same for the same one
 * @param wanted not before this
 */
export function useLater<Piece>(name: string, fetchIt: () => Promise<Piece>, wanted = true) {
  const { data, isError, refetch } = useQuery({
    queryKey: ['piece', name],
    // A component is a function, and a query takes one for its own.
    queryFn: async () => ({ piece: await fetchIt() }),
    staleTime: Infinity,
    enabled: wanted,
  });
  return { piece: data?.piece, failed: isError, again: () => void refetch() };
}
