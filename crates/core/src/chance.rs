//! Numbers that look like chance, the same from the same seed: searches try with them, and the simulated workshop makes
//! its pieces a little unlike each other.

/// A stream of numbers (splitmix64, Steele, Lea and Flood 2014).
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct Chance(u64);

impl Chance {
    /// The stream of a seed.
    ///
    /// ```
    /// use lorimant_core::chance::Chance;
    ///
    /// assert_eq!(Chance::of(7).share(), Chance::of(7).share());
    /// assert_ne!(Chance::of(7).share(), Chance::of(8).share());
    /// ```
    #[must_use]
    pub fn of(seed: u64) -> Self {
        Self(seed)
    }

    /// The stream of several numbers together: of a workshop's seed, a lot and a piece.
    #[must_use]
    pub fn of_all(seeds: &[u64]) -> Self {
        let mix = |seed: u64, more: &u64| Self(seed ^ more.rotate_left(17)).next();
        Self(seeds.iter().fold(0x5EED, mix))
    }

    fn next(&mut self) -> u64 {
        self.0 = self.0.wrapping_add(0x9E37_79B9_7F4A_7C15);
        let mut z = self.0;
        z = (z ^ (z >> 30)).wrapping_mul(0xBF58_476D_1CE4_E5B9);
        z = (z ^ (z >> 27)).wrapping_mul(0x94D0_49BB_1331_11EB);
        z ^ (z >> 31)
    }

    /// From 0 to below 1.
    pub fn share(&mut self) -> f64 {
        #[expect(clippy::cast_precision_loss, reason = "53 bits")]
        let share = (self.next() >> 11) as f64 / (1_u64 << 53) as f64;
        share
    }

    /// From `low` to `high`.
    pub fn between(&mut self, low: f64, high: f64) -> f64 {
        low + (high - low) * self.share()
    }

    /// A whole number below `n`; 0 where there is none.
    pub fn below(&mut self, n: usize) -> usize {
        usize::try_from(self.next() % u64::try_from(n.max(1)).unwrap_or(1)).unwrap_or(0)
    }

    /// Spread normally about 0 with this standard deviation (Box and Muller 1958).
    ///
    /// ```
    /// use lorimant_core::chance::Chance;
    ///
    /// let mut chance = Chance::of(1);
    /// let n = 20_000;
    /// let squares: f64 = (0..n).map(|_| chance.normal(2.0).powi(2)).sum();
    /// assert!((squares / f64::from(n) - 4.0).abs() < 0.15);
    /// ```
    pub fn normal(&mut self, spread: f64) -> f64 {
        let far = (-2.0 * (1.0 - self.share()).ln()).sqrt();
        spread * far * (std::f64::consts::TAU * self.share()).cos()
    }
}
