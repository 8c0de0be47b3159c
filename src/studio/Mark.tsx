// Our mark: a moth of two leaning panes.
export function Mark() {
  return (
    <svg width="26" height="24" viewBox="0 0 26 24" aria-hidden="true" style={{ display: 'block' }}>
      <path d="M12.2 5.5 2 2.6c-.6 5 .5 9.400 3.400 11.600L12.200 12z" fill="none" stroke="var(--gm-ink)" strokeWidth="1.4" strokeLinejoin="round" />
      <path d="M13.8 5.500 24 2.600c.6 5-.5 9.400-3.400 11.600L13.800 12z" fill="var(--gm-ink)" fillOpacity=".16" stroke="var(--gm-ink)" strokeWidth="1.4" strokeLinejoin="round" />
      <path d="M12.200 12.500 6.600 15.500c.4 3.200 1.900 5.200 4 6l1.600-6zM13.800 12.500l5.600 3c-.4 3.200-1.900 5.200-4 6l-1.600-6z" fill="none" stroke="var(--gm-ink)" strokeWidth="1.4" strokeLinejoin="round" />
      <circle cx="20" cy="7" r="1.500" fill="var(--gm-madder)" />
    </svg>
  )
}
