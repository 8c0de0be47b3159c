// Where the studio keeps its data: in the checkout, or where GLASS_MOTH_DATA says.
import { join, resolve } from 'node:path'
import { root } from './install.mjs'

export const dataFolder = resolve(process.env.GLASS_MOTH_DATA ?? join(root, '.glass-moth', 'database'))
export const backupsFolder = join(dataFolder, 'backups')
