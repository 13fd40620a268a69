## figure-column

figure-column-in-your-hand = In your hand
figure-column-cut = Cut
figure-column-on-rod = On the rod
figure-column-off-spool = Off the spool
figure-column-will-hold = Will it hold
figure-column-assumed = Assumed
figure-column-spread = Spread
figure-column-source = Source
