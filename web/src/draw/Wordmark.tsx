/** "Mute Tapper" with a mushroom tappet for its T, and the tap dying away. */
export function Wordmark() {
  return (
    <svg height="32" viewBox="0 0 166 32" role="img" aria-label="Mute Tapper" fontFamily="var(--condensed)">
      <text x="0" y="28" fontSize="27" fontWeight="500" fill="var(--ink2)" textLength="49">
        Mute
      </text>
      <g transform="translate(56 0)">
        <path d="M0 6.2Q10 2.8 20 6.2V11.2H14V28H6.4V11.2H0Z" fill="var(--enamel)" />
        <text x="17" y="28" fontSize="27" fontWeight="700" fill="var(--ink)" textLength="55">
          apper
        </text>
      </g>
      <g stroke="var(--ink2)" strokeWidth="2.4">
        <path d="M137 28V17M144 28V21.5M151 28V24.6M158 28V26.4" />
      </g>
    </svg>
  );
}

export function Mark() {
  return (
    <svg width="30" height="30" viewBox="0 0 32 32" aria-hidden="true">
      <path d="M3 5.5Q12 2.4 21 5.5V10.5H15.6V29H8.4V10.5H3Z" fill="var(--enamel)" />
      <path d="M19.5 29V18M24 29V23.5M28.5 29V27.6" stroke="var(--ink)" strokeWidth="2.6" />
    </svg>
  );
}
