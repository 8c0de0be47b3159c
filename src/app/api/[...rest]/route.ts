import { answer, Problem } from '@/server/problem'

/** Addresses of the API that there are none of. */
const refuse = () =>
  answer(() => {
    throw new Problem(404, 'No such address', 'There is nothing at this address.')
  })

export { refuse as DELETE, refuse as GET, refuse as HEAD, refuse as OPTIONS, refuse as PATCH, refuse as POST, refuse as PUT }
