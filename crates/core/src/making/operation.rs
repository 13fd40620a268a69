//! The operations a maker knows, by their words.

use crate::words::words;

words! {
    /// One thing a maker does.
    pub enum Operation ("operation") {
        /// Pulled through smooth jaws or run through the fingers, still on the spool.
        Straighten = "straighten";
        /// Heated until it is soft again.
        Anneal = "anneal";
        /// The spool's end is made flush.
        MakeFlush = "make-flush";
        /// Measured off and cut to length.
        Cut = "cut";
        /// Marked where bends begin, while it is straight.
        Mark = "mark";
        /// The tail is held so that the wire can be wound under tension.
        Anchor = "anchor";
        /// Turns are wound on a rod into a coil for rings.
        Wind = "wind";
        /// The coil is let go, slid off and its tails taken off.
        SlideOff = "slide-off";
        /// The coil is spread so that a cutter gets between its turns.
        Spread = "spread";
        /// Sawn into rings along the coil.
        Saw = "saw";
        /// Cut into rings with two flush cuts each.
        CutTwice = "cut-twice";
        /// Cut into rings with sheet shears.
        Shear = "shear";
        /// Snipped into rings.
        Snip = "snip";
        /// A ball is drawn from the end.
        Ball = "ball";
        /// An end or stretch is hammered flat.
        Flatten = "flatten";
        /// The wire is folded back on itself.
        Fold = "fold";
        /// A loop is rolled until it closes.
        Loop = "loop";
        /// A bend is made to an angle.
        Bend = "bend";
        /// Turns are wound on a rod or taper, to stay a coil.
        Coil = "coil";
        /// Turns are laid flat round each other.
        Spiral = "spiral";
        /// Turns are wrapped round the piece's own stem.
        Wrap = "wrap";
        /// A turn is lifted to stand up.
        Lift = "lift";
        /// A tip is turned a little aside.
        Kick = "kick";
        /// A stretch is hardened on the block, or hammered thinner.
        Hammer = "hammer";
        /// A stretch is pressed straight, or turns together.
        Press = "press";
        /// A mouth is levelled on an abrasive.
        Level = "level";
        /// A face is textured.
        Texture = "texture";
        /// Edges are bevelled.
        Bevel = "bevel";
        /// It is trued flat.
        True = "true";
        /// Openings are pressed shut.
        Close = "close";
        /// Rings of a chain are shut before it is begun.
        ShutBefore = "shut-before";
        /// Rings of a chain are opened so that others' wire passes.
        OpenUp = "open-up";
        /// Rings are put into a chain, one after the other.
        Link = "link";
        /// Flux is brushed on the joint.
        Flux = "flux";
        /// The joint is melted together.
        Fuse = "fuse";
        /// The joint is soldered.
        Solder = "solder";
        /// Cooled after heat: in water, or in air where the metal wants it.
        Quench = "quench";
        /// Flux and scale are taken off in pickle.
        Pickle = "pickle";
        /// Trimmed to its length.
        Trim = "trim";
        /// Tips are rounded.
        Round = "round";
        /// What was joined is cut apart.
        Part = "part";
        /// In the barrel with steel shot.
        Tumble = "tumble";
        /// Laid on the drawing, or beside the first.
        Check = "check";
    }
}

impl Operation {
    /// Whether the piece is what it is without it, so that a maker may leave it out.
    #[must_use]
    pub fn may_be_left_out(self) -> bool {
        matches!(
            self,
            Self::Straighten
                | Self::Anneal
                | Self::Spread
                | Self::Hammer
                | Self::Press
                | Self::Texture
                | Self::Bevel
                | Self::True
                | Self::Fuse
                | Self::Solder
                | Self::Quench
                | Self::Pickle
                | Self::Round
                | Self::Tumble
                | Self::Mark
                | Self::Check
        )
    }
}
