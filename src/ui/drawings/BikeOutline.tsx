/** A bike seen from the right, in a view box of 400 by 216; its rear wheel stands at 96, 136, its front wheel at 310, 136. */
export const BikeOutline = () => (
  <g fill="none" className="stroke-steel" strokeWidth={5} strokeLinecap="round" strokeLinejoin="round">
    <circle cx={96} cy={136} r={62} />
    <circle cx={310} cy={136} r={62} />
    <path d="M96 136L182 142L276 78L157 82L96 136M157 82L182 142M150 48L157 82M128 44h42M276 78L310 136M276 78L270 54L296 50L308 62" />
    <circle cx={182} cy={142} r={17} />
    <path d="M182 142L206 164M196 164h22" />
  </g>
)
