import { useQuery } from '@tanstack/react-query'
import { answer, api } from '../../api/client'
import type { Schemas } from '../../api/client'
import { keys } from '../../api/queries'
import type { From } from './marks'

/** What the marks of a picture tell, once there are enough: from the side or from the front. */
export function useReading(
  clientId: string,
  from: From,
  picture: Schemas['PictureInput'],
  readable: boolean,
) {
  const asked = { params: { path: { clientId } }, body: picture }
  const side = useQuery({
    queryKey: [...keys.technique(clientId), 'read', picture],
    queryFn: ({ signal }) =>
      answer(api.POST('/api/clients/{clientId}/technique/read', { ...asked, signal })),
    enabled: readable && from === 'SIDE',
    placeholderData: (previous) => previous,
    retry: false,
  })
  const front = useQuery({
    queryKey: [...keys.technique(clientId), 'front', picture],
    queryFn: ({ signal }) =>
      answer(api.POST('/api/clients/{clientId}/technique/front', { ...asked, signal })),
    enabled: readable && from === 'FRONT',
    placeholderData: (previous) => previous,
    retry: false,
  })
  return { side, front, reading: from === 'SIDE' ? side : front }
}
