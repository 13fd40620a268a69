//! Lets the server be built and tested before the front end is: an empty folder is embedded then.

fn main() -> std::io::Result<()> {
    println!("cargo::rerun-if-changed=../../web/dist");
    std::fs::create_dir_all("../../web/dist")
}
