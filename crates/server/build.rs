//! The front end is embedded. Debug builds go without it, so that the server can be built and tested alone; a release without
//! it would be a program with nothing to see, and is refused.

fn main() -> std::io::Result<()> {
    println!("cargo::rerun-if-changed=../../web/dist");
    std::fs::create_dir_all("../../web/dist")?;
    let release = std::env::var("PROFILE").is_ok_and(|profile| profile == "release");
    if release && !std::path::Path::new("../../web/dist/index.html").exists() {
        println!(
            "cargo::error=The front end is not built, and a release without it shows nothing. Run `npm ci && npm run build` in \
             web, or `cargo xtask release`, which does it first."
        );
    }
    Ok(())
}
