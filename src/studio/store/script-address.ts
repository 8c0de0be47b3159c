/** Where the server tells the script of a page as it was saved last. */
export const scriptAddress = (siteId: string, pageId: string): string => `/api/sites/${siteId}/script?page=${pageId}`
