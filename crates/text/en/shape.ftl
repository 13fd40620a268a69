## hammered

hammered-cannot-be-hammered-thicker = cannot be hammered thicker
hammered-would-be-foil = would be foil
hammered-wire-thick-hammered-can-be = Wire { $h } thick hammered to { $to_mm } { $message }. It can be from { $least } to just under { $h }.
