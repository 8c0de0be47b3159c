// Our mark: a moth of two leaning panes.
export function Mark() {
  return (
    <svg width="26" height="24" viewBox="0 0 26 24" aria-hidden="true" style={{ display: 'block' }}>
      <path
        d="M12.2 5.5 2 2.6c-.6 5 .5 9.4 3.4 11.6L12.2 12z"
        fill="none"
        stroke="var(--gm-ink)"
        strokeWidth="1.4"
        strokeLinejoin="round"
      />
      <path
        d="M13.8 5.5 24 2.6c.6 5-.5 9.4-3.4 11.6L13.8 12z"
        fill="var(--gm-ink)"
        fillOpacity=".16"
        stroke="var(--gm-ink)"
        strokeWidth="1.4"
        strokeLinejoin="round"
      />
      <path
        d="M12.2 12.5 6.6 15.5c.4 3.2 1.9 5.2 4 6l1.6-6zM13.8 12.5l5.6 3c-.4 3.2-1.9 5.2-4 6l-1.6-6z"
        fill="none"
        stroke="var(--gm-ink)"
        strokeWidth="1.4"
        strokeLinejoin="round"
      />
      <circle cx="20" cy="7" r="1.5" fill="var(--gm-madder)" />
    </svg>
  )
}
