// One studio for the whole run: database, demo and server begin once and serve all workers.
import { makeModel, openHouse } from './own-house'
import { sharedHouse } from './house'

export default async function setUp(): Promise<() => Promise<void>> {
  const removeModel = await makeModel()
  const house = await openHouse()
  sharedHouse.keep(house)
  return async () => {
    await house.close()
    removeModel()
  }
}
