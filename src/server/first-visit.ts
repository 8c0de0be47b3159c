// Where a first visit goes.

export const visitedCookie = 'glass-moth-visited'
export const startersId = 'starters'
export const firstPage = `/studio/${startersId}/cards`
