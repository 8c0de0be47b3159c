// Places where what looks like a slip changes nothing that anybody could see.

export const noSlips: readonly { readonly file: string; readonly at: string; readonly why: string }[] = []
