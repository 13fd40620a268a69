## drawing-stage

drawing-stage-drag-or-type = { $dimension }: drag or type

## strip-ruler

strip-ruler-in = { $parts } in

## wire-strip

wire-strip-strip-one-ring-as-straight = The strip: one ring as straight wire
wire-strip-strip-one-ring-straight = The strip: one ring, straight
wire-strip-used = { $spent } % used
