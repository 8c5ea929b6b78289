using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Vanto.Storage.Migrations
{
    /// <inheritdoc />
    public partial class Stamps : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(
                name: "Device",
                table: "Records",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<long>(
                name: "Seq",
                table: "Records",
                type: "INTEGER",
                nullable: true);

            migrationBuilder.AddColumn<int>(
                name: "StampCount",
                table: "Records",
                type: "INTEGER",
                nullable: true);

            migrationBuilder.AddColumn<long>(
                name: "StampMs",
                table: "Records",
                type: "INTEGER",
                nullable: true);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(
                name: "Device",
                table: "Records");

            migrationBuilder.DropColumn(
                name: "Seq",
                table: "Records");

            migrationBuilder.DropColumn(
                name: "StampCount",
                table: "Records");

            migrationBuilder.DropColumn(
                name: "StampMs",
                table: "Records");
        }
    }
}
