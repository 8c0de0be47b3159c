// The mark of a button that opens a menu.

export const Opens = () => (
  <span aria-hidden="true" style={{ fontSize: '0.62em' }}>
    ▾
  </span>
)
